export { RegisterScreen as default } from '../../features/temporary/RegisterScreen'
