import { useLocalSearchParams } from 'expo-router'
import { later } from '../../ui/later'

const ToolScreen = later(async () => (await import('../../features/bench')).ToolScreen)

export default function ToolRoute() {
  const { tool, visit } = useLocalSearchParams<{ tool: string; visit?: string }>()
  return <ToolScreen key={`${tool} ${visit}`} toolId={tool} visitId={visit ?? null} />
}
