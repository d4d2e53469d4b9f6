import { useLocalSearchParams } from 'expo-router'
import { later } from '../../../ui/later'

const CircuitScreen = later(
  async () => (await import('../../../features/circuit/CircuitScreen')).CircuitScreen,
)

export default function CircuitRoute() {
  const { id, asLeft = '' } = useLocalSearchParams<{ id: string; asLeft?: string }>()
  return <CircuitScreen unitId={id} leftBy={asLeft} />
}
