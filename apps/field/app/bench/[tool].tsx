import { useLocalSearchParams } from 'expo-router'
import { ToolScreen } from '../../features/bench/ToolScreen'

export default function ToolRoute() {
  const { tool, visit } = useLocalSearchParams<{ tool: string; visit?: string }>()
  return <ToolScreen key={`${tool} ${visit}`} toolId={tool} visitId={visit ?? null} />
}
