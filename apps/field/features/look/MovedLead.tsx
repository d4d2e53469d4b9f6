import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { SearchChooser } from '../../ui/SearchChooser'
import { Stack } from '../../ui/Stack'

interface MovedLeadProps {
  readonly diagram: Diagram
  readonly lead: string | null
  readonly onLead: (wire: string) => void
  readonly at: string | null
  readonly onAt: (point: string) => void
}

/** A lead by its colour and number, and the terminal that it was found on. */
export function MovedLead({ diagram, lead, onLead, at, onAt }: MovedLeadProps) {
  return (
    <Stack gap="small">
      <SearchChooser
        options={[...diagram.wires.values()].map(({ id, color, number, from, to }) => ({
          id,
          title: `${color} ${number}`,
          below: `drawn from ${from} to ${to}`,
        }))}
        chosen={lead}
        onChoose={onLead}
        what="lead"
        placeholder="yellow 30, LPS1.2"
      />
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
