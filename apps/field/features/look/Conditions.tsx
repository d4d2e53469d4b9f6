import { useState } from 'react'
import { View } from 'react-native'
import { NumberPad } from '../pad/NumberPad'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { space } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { currentCall } from '../visit/CallBar'
import type { OpenVisit } from '../visit/useVisit'

const known: readonly { readonly id: string; readonly words: string; readonly unit: string }[] = [
  { id: 'outdoorDryBulb', words: 'Outdoor temperature', unit: '°F' },
  { id: 'returnDryBulb', words: 'Return air', unit: '°F' },
  { id: 'supplyVolts', words: 'Supply, leg to leg', unit: 'V' },
]

/** Facts from outside that the circuit answers to; taken as usual for the call until measured. */
export function Conditions({ visit }: { readonly visit: OpenVisit }) {
  const [open, setOpen] = useState<string | null>(null)
  const usual = visit.diagram.calls.find(({ id }) => id === currentCall(visit))?.conditions ?? {}
  const said = new Map(visit.bodies.flatMap((body) => (body.kind === 'condition' ? [[body.of, body.value] as const] : [])))
  const chosen = known.find(({ id }) => id === open)
  return (
    <View style={{ gap: space.small }}>
      <Words strong quiet role="heading" aria-level={2}>Weather and supply</Words>
      {known.map(({ id, words, unit }) => {
        const value = said.get(id)
        const usually = usual[id] === undefined ? 'nominal' : `${usual[id]} ${unit}`
        return <Press key={id} title={`${words}: ${value === undefined ? `${usually} (not measured)` : `${value} ${unit}`}`} onPress={() => { setOpen(id) }} />
      })}
      <Sheet title={chosen?.words ?? ''} open={chosen !== undefined} onClose={() => { setOpen(null) }}>
        {chosen ? (
          <NumberPad unit={chosen.unit} signed={chosen.unit === '°F'} onDone={(value) => {
            setOpen(null)
            if (value !== null) void visit.say({ kind: 'condition', of: chosen.id, value })
          }} />
        ) : null}
      </Sheet>
    </View>
  )
}
