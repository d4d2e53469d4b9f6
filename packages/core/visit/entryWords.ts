import { asTyped } from '../circuit/meters'
import { callWords, partWords, type Diagram } from '../diagram/diagram'
import { dialMove, dialWords } from '../diagram/dials'
import { complaintSaid } from './complaintSaid'
import { conditionNamed, conditionWords } from './conditionWords'
import type { EntryBody } from './entry'
import { observedWords } from './observedWords'
import { readingMarks } from './readingPlace'
import { alterationWords, temporaryWords } from './temporary'

const spaced = (name: string): string => name.replaceAll('-', ' ')
const joined = (parts: readonly (string | undefined)[], by = ': '): string => parts.filter(Boolean).join(by)

const verbWords: Readonly<Record<(EntryBody & { kind: 'action' })['do'], string>> = {
  lift: 'Lifted the lead at',
  land: 'Landed the lead at',
  unplug: 'Pulled',
  plug: 'Put back',
  bridge: 'Joined',
  unbridge: 'Took the join off',
  reset: 'Reset',
  warm: 'Warmed',
  cool: 'Cooled',
  wiggle: 'Moved',
  start: 'Called anew, and watched',
}

type Sentence<K extends EntryBody['kind']> = (
  body: EntryBody & { readonly kind: K },
  diagram: Diagram,
) => string

/** Each kind of entry as a sentence. */
const sentences: { readonly [K in EntryBody['kind']]: Sentence<K> } = {
  arrived: () => 'Arrived',
  complaint: ({ complaint, words }, diagram) =>
    joined(
      [`Complaint: ${complaintSaid(diagram, complaint)?.words ?? complaint}`, words && `“${words}”`],
      ', ',
    ),
  controls: ({ by, telephone }) => joined(['Controlled by', spaced(by), telephone]),
  replaced: ({ of, words }, diagram) => joined(['Replaced before this visit', partWords(diagram, of), words]),
  'pairing-step': ({ method, outcome }) => joined(['Pairing', spaced(method), outcome]),
  pairing: ({ label }) => joined(['Paired', label]),
  pinned: ({ of }) => joined(['Pinned on a picture', of]),
  placed: ({ of }) => joined(['Placed on the sketch', of]),
  call: ({ call }, diagram) => joined(['Call set', callWords(diagram, call)]),
  power: ({ is, of }, diagram) => joined([`Power ${is}`, of && partWords(diagram, of)]),
  condition: ({ of, value }) => conditionWords(of, value),
  wait: ({ seconds }) => `Waited ${Math.round(seconds)} s`,
  reading: (body, diagram) =>
    `${readingMarks(diagram, body)}: ${asTyped(body.value, body.meter, body.typed)}`,
  supply: ({ system }) => joined(['Supply found', system]),
  plate: ({ of, values }, diagram) =>
    joined(
      [
        'Plate of',
        partWords(diagram, of),
        Object.entries(values)
          .map((pair) => pair.join(' '))
          .join(', '),
      ],
      ' ',
    ),
  'stand-in': ({ of, amps, result }, diagram) =>
    `Stand-in of ${amps} A for ${partWords(diagram, of)}: ${spaced(result)}`,
  'found-on': ({ of, at }) => `Lead ${of} found on ${at}`,
  observation: (body, diagram) => `${partWords(diagram, body.of)}: ${observedWords(body)}`,
  action: ({ do: verb, of, to }, diagram) =>
    joined([verbWords[verb], to ? `${of} to ${to}` : partWords(diagram, of)], ' '),
  setting: ({ of, from, to }, diagram) => `${dialWords(diagram, of)}: ${dialMove(diagram, of, from, to)}`,
  unreachable: ({ of }) => `Cannot be reached: ${conditionNamed(of).words}`,
  'drop-out': ({ fell, words }) => joined(['Dropped out', fell.map(({ from }) => from).join(', '), words]),
  'first-look': ({ item, is, words }) => joined(['First look', words ?? spaced(item), spaced(is)]),
  photo: ({ of, words }) => joined(['Photo', of, words]),
  note: ({ words }) => words,
  calculation: ({ tool, words }) => joined([tool, words]),
  support: ({ advice }) => joined(['Advice of support', advice]),
  retracted: () => 'An entry was taken back',
  corrected: ({ value }) => `An entry was corrected to ${value ?? 'OL'}`,
  isolation: ({ sources, where }) =>
    joined([`Isolated and proven dead: ${sources.join(', ')}`, where], ', at '),
  alteration: (body) => alterationWords(body),
  'alteration-settled': ({ as, of, words }) => joined([`Altered before, now ${spaced(as)}: ${of}`, words]),
  temporary: (body) => temporaryWords({ ...body, to: body.to ?? '' }),
  'temporary-left': ({ hazard, expires }) => `Left in place until ${expires}: ${hazard}`,
  'temporary-removed': ({ words }) => joined(['A temporary measure was taken off', words]),
  'go-ahead': ({ by, words }) => joined([`Go-ahead by ${by}`, words]),
  'lead-found': ({ of, terminal, color, number }) =>
    `Lead noted at ${terminal || of}: ${joined([color, number], ' ')}`,
  'lead-landed': ({ of, terminal, color, number }) =>
    `Lead back at ${terminal || of}: ${joined([color, number], ' ')}`,
  'part-used': ({ of, words }, diagram) => joined([`Part fitted, ${partWords(diagram, of)}`, words]),
  cause: ({ of, words }, diagram) => joined(['Taken for the cause', words ?? partWords(diagram, of)]),
  repair: ({ of, words, trippedBy }, diagram) =>
    joined(['Repaired', words ?? partWords(diagram, of), trippedBy ? `tripped by ${trippedBy}` : '']),
  'diagram-changed': ({ of, words }, diagram) =>
    joined([`Wiring changed for good, ${partWords(diagram, of)}`, words]),
  rewired: ({ words, done }) => joined([`Wired as planned, ${words}`, ...done]),
  proof: ({ call, passed, words }, diagram) =>
    joined([`Proof, ${callWords(diagram, call)}`, passed ? 'right' : 'not right', words]),
  restored: ({ item, is }) => `${is ? 'Ticked' : 'Not ticked'}: ${spaced(item)}`,
  defect: ({ words, recommend }) => joined(['Defect', words, recommend]),
  'defect-closed': () => 'A defect was closed',
  'sign-off': ({ outcome, words }) => joined([`Signed off, ${spaced(outcome)}`, words]),
}

/** An entry of a visit as a sentence, for lists and for what was added after sign-off. */
export const entryWords = (body: EntryBody, diagram: Diagram): string => said(body.kind, body, diagram)

/** Kinds that would have changed what was signed, had they come before. */
const unsigning: ReadonlySet<EntryBody['kind']> = new Set(['retracted', 'corrected', 'sign-off'])

/** An entry that came after the sign-off. */
export const addendumWords = (body: EntryBody, diagram: Diagram): string =>
  `${entryWords(body, diagram)}${unsigning.has(body.kind) ? '; what was signed stands' : ''}`

const said = <K extends EntryBody['kind']>(
  kind: K,
  body: EntryBody & { readonly kind: K },
  diagram: Diagram,
): string => sentences[kind](body, diagram)
