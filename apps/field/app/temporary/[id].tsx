import { useLocalSearchParams } from 'expo-router'
import { TagScreen } from '../../features/temporary/TagScreen'

export default function TagRoute() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <TagScreen id={id} />
}
