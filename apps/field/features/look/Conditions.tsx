import { useState } from 'react'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { NumberPad } from '../pad/NumberPad'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { currentCall } from '../visit/CallBar'
import type { OpenVisit } from '../visit/useVisit'

interface Known {
  readonly id: string
  readonly words: string
  readonly unit: string
  /** Asked for only where some part of the unit answers to it. */
  readonly where?: 'read'
}

const known: readonly Known[] = [
  { id: 'outdoorDryBulb', words: 'Outdoor temperature', unit: '°F' },
  { id: 'returnDryBulb', words: 'Return air', unit: '°F' },
  { id: 'supplyVolts', words: 'Supply, leg to leg', unit: 'V' },
  { id: 'outdoorHumidity', words: 'Outdoor humidity', unit: '%', where: 'read' },
  { id: 'returnHumidity', words: 'Return humidity', unit: '%', where: 'read' },
  { id: 'pipe', words: 'Pipe', unit: '°F', where: 'read' },
  { id: 'suctionPressure', words: 'Suction pressure', unit: 'psig', where: 'read' },
  { id: 'suctionPressure2', words: 'Suction pressure, circuit 2', unit: 'psig', where: 'read' },
  { id: 'dischargePressure', words: 'Discharge pressure', unit: 'psig', where: 'read' },
  { id: 'dischargePressure2', words: 'Discharge pressure, circuit 2', unit: 'psig', where: 'read' },
  { id: 'coilTemperature', words: 'Indoor coil', unit: '°F', where: 'read' },
]

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
  const asked = known.filter(({ id, where }) => where !== 'read' || isRead(visit.diagram, id))
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
