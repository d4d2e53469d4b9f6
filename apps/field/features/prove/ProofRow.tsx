import { useState } from 'react'
import { Pressable, StyleSheet, View } from 'react-native'
import type { Briefing } from '@jokulgale/core/diagnosis/briefing'
import type { ProofValue } from '@jokulgale/core/visit/entry'
import type { Of } from '@jokulgale/core/visit/fold'
import { unitShown, valueShown, type DisplayUnits } from '@jokulgale/core/physics/displayUnits'
import { isNear, proofDigits, type ProofLine } from '@jokulgale/core/visit/proofLine'
import { needsReason } from '@jokulgale/core/visit/needsReason'
import { proofsSinceRepair } from '@jokulgale/core/visit/proofsSinceRepair'
import { proofSays } from '@jokulgale/core/visit/proofSays'
import { readinessOf } from '@jokulgale/core/visit/proofStands'
import { Icon } from '../../ui/Icon'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { space, target, usePalette, type Palette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { Field } from '../../ui/Field'
import { Line } from '../../ui/Line'
import { Stack } from '../../ui/Stack'
import { minutesWords, useRunningDelays } from '../delays/clock'
import { UsualPad } from '../pad/UsualPad'
import { useUnits } from '../units/useUnits'
import type { OpenVisit } from '../visit/useVisit'

const styles = StyleSheet.create({
  row: { borderBottomWidth: 1, paddingVertical: space.hair, gap: 6 },
  head: { flex: 1, flexDirection: 'row', gap: space.small, alignItems: 'center', minHeight: target },
  value: { flexDirection: 'row', alignItems: 'center', minHeight: target, gap: space.small },
})

interface ProofRowProps {
  readonly visit: OpenVisit
  readonly call: string
  readonly words: string
  /** What there is to read; null while it is being solved. */
  readonly lines: readonly ProofLine[] | null
  /** Delays of the call that is set; null while they are being solved. */
  readonly delays: Briefing['delays'] | null
}

const shown = (value: number, unit: string, units: DisplayUnits): string =>
  `${proofDigits(valueShown(value, unit, units), unit)} ${unitShown(unit, units)}`

/** A value that was read, in the digits that were typed where they are of the unit that is shown. */
const readWords = ({ value, typed, unit }: ProofValue, units: DisplayUnits): string =>
  typed && unitShown(unit, units) === unit ? `${typed} ${unit}` : shown(value, unit, units)

/** One call of the proof sheet: its values against what the circuit expects, and whether it is right. */
export function ProofRow({ visit, call, words, lines, delays }: ProofRowProps) {
  const palette = usePalette()
  const units = useUnits()
  const [open, setOpen] = useState(false)
  const [asked, setAsked] = useState<ProofLine | null>(null)
  const [values, setValues] = useState<readonly ProofValue[]>([])
  const [noted, setNoted] = useState('')
  const readiness = readinessOf(visit.state, call)
  const taken = visit.state.proofs.filter(({ body }) => body.call === call).at(-1)
  const last = taken?.body
  const isBare = taken?.body.passed === true && !proofSays(visit.state, taken)
  const isOpen = open || isBare
  const lacking = needsReason(proofsSinceRepair(visit.state) ?? visit.state.proofs, call)
  const prove = (passed: boolean): void => {
    void visit.say({
      kind: 'proof',
      call,
      words: noted.trim(),
      passed,
      ...(values.length > 0 ? { values } : {}),
    })
    setValues([])
    setNoted('')
    setOpen(false)
  }
  const enter = (line: ProofLine, value: number, typed: string): void => {
    const { what, unit, expected, at } = line
    const read: ProofValue = {
      what,
      value,
      ...(unitShown(unit, units) === unit ? { typed } : {}),
      unit,
      ...(expected === null ? {} : { expected: Math.round(expected * 100) / 100 }),
      ...(at ? { at } : {}),
    }
    const now = [...values.filter((other) => other.what !== what), read]
    setValues(now)
    setAsked(isNear(expected, value) ? nextUnread(lines ?? [], line, now) : null)
  }
  return (
    <View style={[styles.row, { borderColor: palette.line }]}>
      <Line gap="small" align="center">
        <Pressable
          accessibilityRole="button"
          aria-expanded={isOpen}
          accessibilityLabel={`Values for ${words}`}
          onPress={() => {
            setOpen(!open)
          }}
          style={styles.head}
        >
          <Icon name={isOpen ? 'chevron-down' : 'chevron-right'} color={palette.quiet} size={20} />
          <Words grows strong>
            {words}
          </Words>
          <ProofMark last={last} lacking={lacking} isBare={isBare} />
        </Pressable>
        {readiness === 'other-call' ? (
          <Press
            kind="quiet"
            title="Set it"
            label={`Set it: ${words}`}
            onPress={() => {
              void visit.say({ kind: 'call', call })
            }}
          />
        ) : null}
      </Line>
      {!isOpen && last ? <LastProof last={last} /> : null}
      {isOpen
        ? (lines ?? []).map((line) => (
            <ValueRow
              key={line.what}
              line={line}
              read={values.find(({ what }) => what === line.what) ?? null}
              onPress={() => {
                setAsked(line)
              }}
            />
          ))
        : null}
      <Missing isBare={isBare} lacking={lacking} />
      {isOpen || lacking.length > 0 ? (
        <Field
          label={`Readings for ${words}`}
          value={noted}
          onChangeText={setNoted}
          placeholder="Anything else that was seen"
        />
      ) : null}
      {readiness === 'other-call' ? null : (
        <Verdict
          visit={visit}
          words={words}
          isOff={readiness === 'power-off'}
          delays={delays}
          passed={last?.passed}
          onProve={prove}
        />
      )}
      <Sheet
        title={asked?.what ?? ''}
        open={asked !== null}
        onClose={() => {
          setAsked(null)
        }}
      >
        {asked ? (
          <>
            {asked.expected === null ? null : (
              <Words>{`Should be ${shown(asked.expected, asked.unit, units)}`}</Words>
            )}
            <UsualPad
              key={asked.what}
              unit={asked.unit}
              usual={asked.usual}
              onDone={(value, typed) => {
                enter(asked, value, typed)
              }}
            />
          </>
        ) : null}
      </Sheet>
    </View>
  )
}

/** What a proof lacks to count. */
function Missing({ isBare, lacking }: Omit<ProofMarkProps, 'last'>) {
  return (
    <>
      {isBare ? (
        <Notice kind="wrong">
          Nothing was read in it since the repair: enter a value, or write what was seen, and say it again.
        </Notice>
      ) : null}
      {lacking.map((what) => (
        <Notice key={what} kind="wrong">
          {`${what} is not as it should be: read it again, or write why it is left so.`}
        </Notice>
      ))}
    </>
  )
}

interface VerdictProps {
  readonly visit: OpenVisit
  readonly words: string
  /** The power of the unit, or of a part of it. */
  readonly isOff: boolean
  readonly delays: Briefing['delays'] | null
  /** What was said last, if anything. */
  readonly passed: boolean | undefined
  readonly onProve: (passed: boolean) => void
}

/** Whether the call that is set is right, once the power is on and every delay is over. */
function Verdict({ visit, words, isOff, delays, passed, onProve }: VerdictProps) {
  const running = useRunningDelays(visit.state, delays)
  if (isOff)
    return (
      <Words size="small" quiet>
        Power is off. Switch it on to run this call.
      </Words>
    )
  if (running === null)
    return (
      <Words size="small" quiet>
        Working out which delays run …
      </Words>
    )
  const last = running.at(-1)
  if (last)
    return (
      <Words size="small" quiet>
        {`It is set. ${last.words} takes another ${minutesWords(last.secondsLeft)}; then it can be judged.`}
      </Words>
    )
  return (
    <Line gap="small">
      {([true, false] as const).map((right) => (
        <Press
          key={String(right)}
          grow
          title={right ? 'Right' : 'Not right'}
          label={`${words}: ${right ? 'right' : 'not right'}`}
          selected={passed === right}
          onPress={() => {
            onProve(right)
          }}
        />
      ))}
    </Line>
  )
}

/** The value that is read after one, of those that nobody has read; what is not as it should be is looked at first. */
const nextUnread = (
  lines: readonly ProofLine[],
  after: ProofLine,
  values: readonly ProofValue[],
): ProofLine | null =>
  lines
    .slice(lines.findIndex(({ what }) => what === after.what) + 1)
    .find(({ what }) => !values.some((value) => value.what === what)) ?? null

type Proof = Of<'proof'>

interface ProofMarkProps {
  readonly last: Proof | undefined
  /** What was read that is not as it should be, with no reason given. */
  readonly lacking: readonly string[]
  /** It was called right, and nothing was read in it. */
  readonly isBare: boolean
}

function ProofMark({ last, lacking, isBare }: ProofMarkProps) {
  const palette = usePalette()
  if (!last || isBare)
    return (
      <Words size="small" quiet>
        not proven yet
      </Words>
    )
  const [color, words] = markOf(last.passed, lacking, palette)
  return (
    <Words size="small" color={color}>
      {words}
    </Words>
  )
}

function markOf(
  passed: boolean,
  lacking: readonly string[],
  { good, wrong }: Palette,
): readonly [color: string, words: string] {
  if (!passed) return [wrong, 'not right']
  return lacking.length > 0 ? [wrong, 'right, but a value needs its reason'] : [good, 'proven']
}

function LastProof({ last: { words, values = [], passed } }: { readonly last: Proof }) {
  const units = useUnits()
  return (
    <>
      <Words size="small" quiet>
        {[words, ...values.map((read) => `${read.what} ${readWords(read, units)}`)]
          .filter(Boolean)
          .join('; ')}
      </Words>
      {!passed && values.some(({ at }) => at) ? (
        <Words size="small">Its readings count as evidence: the search goes on from them.</Words>
      ) : null}
    </>
  )
}

function ValueRow({
  line,
  read,
  onPress,
}: {
  readonly line: ProofLine
  readonly read: ProofValue | null
  readonly onPress: () => void
}) {
  const palette = usePalette()
  const units = useUnits()
  const near = read === null || isNear(line.expected, read.value)
  const said = read === null ? '' : readWords(read, units)
  const expected = line.expected === null ? '' : `should ${shown(line.expected, line.unit, units)}`
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${line.what}, ${expected}${said ? `, read ${said}` : ''}`}
      onPress={onPress}
      style={styles.value}
    >
      <Words grows>{line.what}</Words>
      <Stack align="flex-end">
        <Words tabular color={read === null ? palette.quiet : near ? palette.text : palette.wrong}>
          {said || '–'}
        </Words>
        <Words size="small" quiet>{`${near ? '' : '≠ '}${expected}`}</Words>
      </Stack>
    </Pressable>
  )
}
