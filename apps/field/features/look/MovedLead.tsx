import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { SearchChooser } from '../../ui/SearchChooser'
import { Stack } from '../../ui/Stack'
import { LeadChooser } from './LeadChooser'

interface MovedLeadProps {
  readonly diagram: Diagram
  readonly lead: string | null
  readonly onLead: (wire: string) => void
  readonly at: string | null
  readonly onAt: (point: string) => void
}

/** A lead, and the terminal that it was found on. */
export function MovedLead({ diagram, lead, onLead, at, onAt }: MovedLeadProps) {
  return (
    <Stack gap="small">
      <LeadChooser diagram={diagram} chosen={lead} onChoose={onLead} />
      <SearchChooser
        options={[...diagram.points.values()].map(({ id, words }) => ({ id, title: id, below: words }))}
        chosen={at}
        onChoose={onAt}
        what="terminal"
        placeholder="TB.G, contactor"
      />
    </Stack>
  )
}
