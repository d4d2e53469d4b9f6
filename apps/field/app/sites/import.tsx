export { ImportScreen as default } from '../../features/places/ImportScreen'
