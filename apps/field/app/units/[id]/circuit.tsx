import { useLocalSearchParams } from 'expo-router'
import { CircuitScreen } from '../../../features/circuit/CircuitScreen'

export default function CircuitRoute() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <CircuitScreen unitId={id} />
}
