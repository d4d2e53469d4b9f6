import { useLocalSearchParams } from 'expo-router'
import { BenchScreen } from '../../features/bench/BenchScreen'

export default function BenchRoute() {
  const { visit } = useLocalSearchParams<{ visit?: string }>()
  return <BenchScreen visitId={visit ?? null} />
}
