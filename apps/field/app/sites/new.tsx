import { SiteForm } from '../../features/places/SiteForm'

export default function NewSiteRoute() {
  return <SiteForm id={null} />
}
