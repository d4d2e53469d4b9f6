import { useLocalSearchParams } from 'expo-router'
import { VisitScreen } from '../../../features/visit/VisitScreen'

export default function VisitRoute() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <VisitScreen id={id} />
}
