import { useLocalSearchParams } from 'expo-router'
import { NewCallScreen } from '../../../features/call/NewCallScreen'

export default function NewCallRoute() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <NewCallScreen unitId={id} />
}
