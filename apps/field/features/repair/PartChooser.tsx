import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { SearchChooser } from '../../ui/SearchChooser'

interface PartChooserProps {
  readonly diagram: Diagram
  readonly chosen: string | null
  readonly onChoose: (part: string) => void
}

/** Chooses a part of the unit by a few letters. */
export function PartChooser({ diagram, chosen, onChoose }: PartChooserProps) {
  return (
    <SearchChooser
      options={[...diagram.parts.values()].map(({ id, words }) => ({ id, title: id, below: words }))}
      chosen={chosen}
      onChoose={onChoose}
      what="part"
      placeholder="CC1, contactor, fuse"
    />
  )
}
