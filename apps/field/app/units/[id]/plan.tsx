import { useLocalSearchParams } from 'expo-router'
import { PlanScreen } from '../../../features/circuit/PlanScreen'

export default function PlanRoute() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <PlanScreen unitId={id} />
}
