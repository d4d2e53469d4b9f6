import { useLocalSearchParams } from 'expo-router'
import { later } from '../../../ui/later'

const PlanScreen = later(async () => (await import('../../../features/circuit/PlanScreen')).PlanScreen)

export default function PlanRoute() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <PlanScreen unitId={id} />
}
