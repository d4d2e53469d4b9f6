import { useLocalSearchParams } from 'expo-router'
import { UnitScreen } from '../../../features/places/UnitScreen'

export default function UnitRoute() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <UnitScreen id={id} />
}
