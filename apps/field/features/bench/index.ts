// the bench comes as one file, when it is first opened
export { BenchScreen } from './BenchScreen'
export { ToolScreen } from './ToolScreen'
