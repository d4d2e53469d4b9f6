import { useState } from 'react'
import { View } from 'react-native'
import type { Wire } from '@jokulgale/core/diagram/diagram'
import { wiresOn } from '@jokulgale/core/diagram/wireAt'
import { Check } from '../../ui/Check'
import { Field } from '../../ui/Field'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { PhotoPress } from '../photo/PhotoPress'
import type { OpenVisit } from '../visit/useVisit'

const endAt = (wire: Wire, part: string): string => (wire.from.startsWith(`${part}.`) ? wire.from : wire.to)

/**
 * The leads of a part as found, before the first leaves its terminal; then ticked as they are landed again.
 */
export function LeadsPart({ visit, part }: { readonly visit: OpenVisit; readonly part: string }) {
  const { diagram, state, say } = visit
  const [other, setOther] = useState(false)
  const drawn = wiresOn(diagram, part)
  const found = state.leads.filter(({ body }) => body.of === part)
  const isFound = (wire: Wire): boolean =>
    found.some(
      ({ body }) =>
        body.color === wire.color && body.number === wire.number && body.terminal === endAt(wire, part),
    )
  const recordAll = async (): Promise<void> => {
    for (const wire of drawn.filter((candidate) => !isFound(candidate)))
      await say({
        kind: 'lead-found',
        of: part,
        terminal: endAt(wire, part),
        color: wire.color,
        number: wire.number,
      })
  }
  const land = (lead: (typeof found)[number]): void => {
    const { of, terminal, color, number } = lead.body
    if (lead.landed) return
    void say({ kind: 'lead-landed', of, terminal, color, number })
  }
  return (
    <Stack gap="hair">
      <Line align="center">
        <Words grows size="small" quiet>
          {found.length === 0
            ? 'Photograph and note every lead before it leaves its terminal; the one hardest to reach first.'
            : 'Tick each lead as it is landed again, round its screw in the tightening direction.'}
        </Words>
        <PhotoPress
          visit={visit.id}
          shows={{ of: part, words: 'as found' }}
          label={`leads of ${part}, as found`}
        />
      </Line>
      {found.length === 0 ? (
        <Press
          title={`As drawn: note all ${drawn.length} leads`}
          disabled={drawn.length === 0}
          onPress={() => {
            void recordAll()
          }}
        />
      ) : null}
      {found.length === 0 ? (
        <Press
          title="Something is not as drawn"
          onPress={() => {
            setOther(true)
          }}
        />
      ) : null}
      {found.map((lead) => {
        const drawnHere = drawn.some(
          (wire) =>
            wire.color === lead.body.color &&
            wire.number === lead.body.number &&
            endAt(wire, part) === lead.body.terminal,
        )
        return (
          <View key={lead.entry.id}>
            <Check
              title={`${lead.body.terminal}  ${lead.body.color} ${lead.body.number}`}
              on={lead.landed !== null}
              onPress={() => {
                land(lead)
              }}
            />
            {drawnHere ? null : (
              <Notice kind="caution">Not on the diagram like this. Compare before you land it.</Notice>
            )}
          </View>
        )
      })}
      {other ? (
        <OtherLead
          visit={visit}
          part={part}
          onDone={() => {
            setOther(false)
          }}
        />
      ) : null}
    </Stack>
  )
}

function OtherLead({
  visit,
  part,
  onDone,
}: {
  readonly visit: OpenVisit
  readonly part: string
  readonly onDone: () => void
}) {
  const [terminal, setTerminal] = useState(`${part}.`)
  const [color, setColor] = useState('')
  const [number, setNumber] = useState('')
  const known = visit.diagram.points.has(terminal)
  return (
    <Stack gap="hair">
      <Field
        label="Terminal it was found on"
        value={terminal}
        onChangeText={setTerminal}
        errorMessage={known || terminal.endsWith('.') ? undefined : `${terminal} is not on this unit`}
      />
      <Field label="Colour" value={color} onChangeText={setColor} />
      <Field label="Number" value={number} onChangeText={setNumber} />
      <Press
        title="Note this lead"
        disabled={!known || color.trim() === ''}
        onPress={() => {
          void visit.say({
            kind: 'lead-found',
            of: part,
            terminal,
            color: color.trim(),
            number: number.trim(),
          })
          onDone()
        }}
      />
    </Stack>
  )
}
