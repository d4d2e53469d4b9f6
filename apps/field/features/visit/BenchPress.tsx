import { useRouter } from 'expo-router'
import { Press } from '../../ui/Press'

/** To the bench, with what this visit knows filled in. */
export function BenchPress({ visitId }: { readonly visitId: string }) {
  const router = useRouter()
  return (
    <Press
      title="Work something out"
      label="Bench: work something out"
      onPress={() => {
        router.navigate(`/bench?visit=${visitId}`)
      }}
    />
  )
}
