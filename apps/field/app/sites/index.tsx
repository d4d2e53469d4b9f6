export { SitesScreen as default } from '../../features/places/SitesScreen'
