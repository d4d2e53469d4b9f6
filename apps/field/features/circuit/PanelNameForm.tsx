import { useState } from 'react'
import { partOfPoint, type Diagram } from '@jokulgale/core/diagram/diagram'
import type { LadderEdit } from '@jokulgale/core/diagram/editLadder'
import { hasOwnTerminalNames, renamePart, renameTerminal } from '@jokulgale/core/diagram/renameLadder'
import { Field } from '../../ui/Field'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'

interface PanelNameFormProps {
  readonly text: string
  readonly diagram: Diagram
  readonly point: string
  readonly take: (edit: LadderEdit) => void
}

/** The mark and words that a part has in the panel; of a board, the names beside its terminals too. */
export function PanelNameForm({ text, diagram, point, take }: PanelNameFormProps) {
  const id = partOfPoint(point)
  const part = diagram.parts.get(id)
  const [mark, setMark] = useState(id)
  const [words, setWords] = useState(part?.words ?? '')
  const old = point.slice(id.length + 1)
  const [terminal, setTerminal] = useState(old)
  if (!part) return null
  return (
    <Part title="What the panel calls it">
      <Field label="Mark of the part" value={mark} onChangeText={setMark} autoCapitalize="characters" />
      <Field label="In words" value={words} onChangeText={setWords} />
      <Press
        title="Call the part that"
        onPress={() => {
          take(renamePart(text, diagram, id, { id: mark.trim(), words }))
        }}
      />
      {hasOwnTerminalNames(diagram, id) ? (
        <>
          <Field
            label={`Terminal, instead of ${old}`}
            value={terminal}
            onChangeText={setTerminal}
            autoCapitalize="characters"
          />
          <Press
            title="Call the terminal that"
            onPress={() => {
              take(renameTerminal(text, diagram, point, terminal.trim()))
            }}
          />
        </>
      ) : null}
    </Part>
  )
}
