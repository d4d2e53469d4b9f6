import { useLocalSearchParams } from 'expo-router'
import { ReportScreen } from '../../../features/report/ReportScreen'

export default function ReportRoute() {
  const { id } = useLocalSearchParams<{ id: string }>()
  return <ReportScreen id={id} />
}
