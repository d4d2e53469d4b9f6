import { useState } from 'react'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { measuredConditions } from '@jokulgale/core/visit/conditionWords'
import { NumberPad } from '../pad/NumberPad'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { currentCall } from '../visit/CallBar'
import type { OpenVisit } from '../visit/useVisit'

/** Whether a part of the unit answers to a condition. */
const isRead = (diagram: Diagram, condition: string): boolean =>
  [...diagram.parts.values()].some(
    (part) => part.kind.settings.reads !== undefined && part.settings.text('reads') === condition,
  )

/** Facts from outside that the circuit answers to; taken as usual for the call until measured. */
export function Conditions({ visit }: { readonly visit: OpenVisit }) {
  const [open, setOpen] = useState<string | null>(null)
  const usual = visit.diagram.calls.find(({ id }) => id === currentCall(visit))?.conditions ?? {}
  const said = new Map(
    visit.bodies.flatMap((body) => (body.kind === 'condition' ? [[body.of, body.value] as const] : [])),
  )
  const asked = measuredConditions.filter(({ id, where }) => where !== 'read' || isRead(visit.diagram, id))
  const chosen = asked.find(({ id }) => id === open)
  return (
    <Part title="Weather, supply, pressures">
      {asked.map(({ id, words, unit }) => {
        const value = said.get(id)
        const usually = usual[id] === undefined ? 'as usual' : `${usual[id]} ${unit}`
        return (
          <Press
            key={id}
            title={`${words}: ${value === undefined ? `${usually} (not measured)` : `${value} ${unit}`}`}
            onPress={() => {
              setOpen(id)
            }}
          />
        )
      })}
      <Sheet
        title={chosen?.words ?? ''}
        open={chosen !== undefined}
        onClose={() => {
          setOpen(null)
        }}
      >
        {chosen ? (
          <NumberPad
            unit={chosen.unit}
            signed={chosen.unit === '°F'}
            onDone={(value) => {
              setOpen(null)
              if (value !== null) void visit.say({ kind: 'condition', of: chosen.id, value })
            }}
          />
        ) : null}
      </Sheet>
    </Part>
  )
}
