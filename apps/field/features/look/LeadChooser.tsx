import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { SearchChooser } from '../../ui/SearchChooser'

interface LeadChooserProps {
  readonly diagram: Diagram
  readonly chosen: string | null
  readonly onChoose: (wire: string) => void
}

/** A lead by its colour and number. */
export const LeadChooser = ({ diagram, chosen, onChoose }: LeadChooserProps) => (
  <SearchChooser
    options={[...diagram.wires.values()].map(({ id, color, number, from, to }) => ({
      id,
      title: `${color} ${number}`,
      below: `drawn from ${from} to ${to}`,
    }))}
    chosen={chosen}
    onChoose={onChoose}
    what="lead"
    placeholder="yellow 30, LPS1.2"
  />
)
