import { useLocalSearchParams } from 'expo-router'
import { UnitForm } from '../../../features/places/UnitForm'

export default function EditUnitRoute() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <UnitForm key={id} id={id} siteId="" />
}
