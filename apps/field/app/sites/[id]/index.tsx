import { useLocalSearchParams } from 'expo-router'
import { PairingScreen } from '../../../features/pairing/PairingScreen'

export default function SiteRoute() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <PairingScreen siteId={id} />
}
