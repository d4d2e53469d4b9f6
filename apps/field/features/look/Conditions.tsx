import { useState } from 'react'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { valueWords } from '@jokulgale/core/physics/displayUnits'
import { measuredConditions } from '@jokulgale/core/visit/conditionWords'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { useUnits } from '../units/useUnits'
import { currentCall } from '../visit/CallBar'
import type { OpenVisit } from '../visit/useVisit'
import { ConditionSheet } from './ConditionSheet'
import { SupplyFound } from './SupplyFound'

/** Whether a part of the unit answers to a condition. */
const isRead = (diagram: Diagram, condition: string): boolean =>
  [...diagram.parts.values()].some(
    (part) => part.kind.settings.reads !== undefined && part.settings.text('reads') === condition,
  )

/** Facts from outside that the circuit answers to; taken as usual for the call until measured. */
export function Conditions({ visit }: { readonly visit: OpenVisit }) {
  const [open, setOpen] = useState<string | null>(null)
  const units = useUnits()
  const usual = visit.diagram.calls.find(({ id }) => id === currentCall(visit))?.conditions ?? {}
  const said = new Map(
    visit.bodies.flatMap((body) => (body.kind === 'condition' ? [[body.of, body.value] as const] : [])),
  )
  const asked = measuredConditions.filter(({ id, where }) => where !== 'read' || isRead(visit.diagram, id))
  return (
    <Part title="Weather, supply, pressures">
      <SupplyFound visit={visit} />
      {asked.map(({ id, words, unit }) => {
        const value = said.get(id)
        const usually = usual[id] === undefined ? 'as usual' : valueWords(usual[id], unit, units)
        return (
          <Press
            key={id}
            title={`${words}: ${value === undefined ? `${usually} (not measured)` : valueWords(value, unit, units)}`}
            onPress={() => {
              setOpen(id)
            }}
          />
        )
      })}
      <ConditionSheet
        of={open}
        onClose={() => {
          setOpen(null)
        }}
        onEntered={(of, value) => {
          void visit.say({ kind: 'condition', of, value })
        }}
      />
    </Part>
  )
}
