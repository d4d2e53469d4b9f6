import { useState } from 'react'
import { unitOf } from '@jokulgale/core/circuit/meters'
import { unitShown, valueKept, type DisplayUnits } from '@jokulgale/core/physics/displayUnits'
import { conditionNamed, conditionWords } from '@jokulgale/core/visit/conditionWords'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { entryWords } from '@jokulgale/core/visit/entryWords'
import type { Entry } from '@jokulgale/core/visit/log'
import { momentWords } from '../../ui/days'
import { Field } from '../../ui/Field'
import { Line } from '../../ui/Line'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { Sheet } from '../../ui/Sheet'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { NumberPad } from '../pad/NumberPad'
import { PhotoPress } from '../photo/PhotoPress'
import { useUnits } from '../units/useUnits'
import type { OpenVisit } from '../visit/useVisit'

interface EntriesSheetProps {
  readonly visit: OpenVisit
  readonly open: boolean
  readonly onClose: () => void
}

/** Everything that was entered on this visit, newest first: each can be put right, or taken back. */
export function EntriesSheet({ visit, open, onClose }: EntriesSheetProps) {
  const units = useUnits()
  const [chosen, setChosen] = useState<Entry | null>(null)
  const close = (): void => {
    setChosen(null)
    onClose()
  }
  return (
    <Sheet title={chosen ? 'This entry' : 'What was entered'} open={open} onClose={close}>
      {chosen ? (
        <OneEntry
          visit={visit}
          entry={chosen}
          onDone={() => {
            setChosen(null)
          }}
        />
      ) : (
        <>
          <NoteForm visit={visit} />
          {[...visit.state.entries].reverse().map((entry) => (
            <Row
              key={entry.id}
              title={wordsOf(entry.body, visit, units)}
              below={momentWords(entry.clock.wall)}
              onPress={() => {
                setChosen(entry)
              }}
            />
          ))}
        </>
      )}
    </Sheet>
  )
}

/** A note about anything, with or without a picture. */
function NoteForm({ visit }: { readonly visit: OpenVisit }) {
  const [words, setWords] = useState('')
  return (
    <Part title="A note">
      <Field label="Whatever the report should say" value={words} onChangeText={setWords} multiline />
      <Line gap="small">
        <Press
          grow
          title="Keep the note"
          disabled={words.trim() === ''}
          onPress={() => {
            void visit.say({ kind: 'note', words: words.trim() }).then(() => {
              setWords('')
            })
          }}
        />
        <PhotoPress visit={visit.id} shows={{ words: words.trim() }} label="with the note" />
      </Line>
    </Part>
  )
}

interface OneEntryProps {
  readonly visit: OpenVisit
  readonly entry: Entry
  readonly onDone: () => void
}

function OneEntry({ visit, entry, onDone }: OneEntryProps) {
  const unit = unitOfValue(entry.body)
  const units = useUnits()
  const say = (body: EntryBody): void => {
    void visit.say(body).then(onDone)
  }
  return (
    <Stack gap="medium">
      <Words strong>{wordsOf(entry.body, visit, units)}</Words>
      <Words size="small" quiet>
        {momentWords(entry.clock.wall)}
      </Words>
      {unit === null ? null : (
        <Part title="What it should have said">
          <NumberPad
            unit={unitShown(unit, units)}
            overload={entry.body.kind === 'reading'}
            onDone={(value, typed) => {
              const kept = value === null ? null : valueKept(value, unit, units)
              say({
                kind: 'corrected',
                entry: entry.id,
                value: kept,
                typed: kept === value ? typed : String(kept),
              })
            }}
          />
        </Part>
      )}
      <Press
        title="Take it back: it was not so"
        onPress={() => {
          say({ kind: 'retracted', entry: entry.id })
        }}
      />
      <Words size="small" quiet>
        The log keeps both, with who said them and when. What counts is the later one, at the time of the
        first.
      </Words>
      <Press kind="quiet" title="Back to the list" onPress={onDone} />
    </Stack>
  )
}

/** An entry in words, a condition in the units of this device. */
const wordsOf = (body: EntryBody, { diagram }: OpenVisit, units: DisplayUnits): string =>
  body.kind === 'condition' ? conditionWords(body.of, body.value, units) : entryWords(body, diagram)

/** The unit of an entry that is one value; null for all others, which are only taken back. */
function unitOfValue(body: EntryBody): string | null {
  if (body.kind === 'reading') return unitOf(body.meter)
  if (body.kind === 'condition') return conditionNamed(body.of).unit
  return null
}
