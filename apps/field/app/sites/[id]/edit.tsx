import { useLocalSearchParams } from 'expo-router'
import { SiteForm } from '../../../features/places/SiteForm'

export default function EditSiteRoute() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <SiteForm key={id} id={id} />
}
