import { useLocalSearchParams } from 'expo-router'
import { UnitForm } from '../../features/places/UnitForm'

export default function NewUnitRoute() {
  const { site } = useLocalSearchParams<{ site: string }>()
  return <UnitForm id={null} siteId={site} />
}
