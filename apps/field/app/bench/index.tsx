import { useLocalSearchParams } from 'expo-router'
import { later } from '../../ui/later'

const BenchScreen = later(async () => (await import('../../features/bench')).BenchScreen)

export default function BenchRoute() {
  const { visit } = useLocalSearchParams<{ visit?: string }>()
  return <BenchScreen visitId={visit ?? null} />
}
