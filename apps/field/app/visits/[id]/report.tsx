import { useLocalSearchParams } from 'expo-router'
import { later } from '../../../ui/later'

const ReportScreen = later(async () => (await import('../../../features/report/ReportScreen')).ReportScreen)

export default function ReportRoute() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <ReportScreen id={id} />
}
