import { useLocalSearchParams } from 'expo-router'
import { CircuitScreen } from '../../../features/circuit/CircuitScreen'

export default function CircuitRoute() {
  const { id, asLeft = '' } = useLocalSearchParams<{ id: string; asLeft?: string }>()
  return <CircuitScreen unitId={id} leftBy={asLeft} />
}
