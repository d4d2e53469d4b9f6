import { useState } from 'react'
import { isDead, isInWire, meters, unitOf, type Meter } from '@jokulgale/core/circuit/meters'
import { areOfOneCapacitor, capacitorPoints } from '@jokulgale/core/diagram/capacitorBetween'
import { meterCaution, meterWords } from '@jokulgale/core/diagnosis/words'
import { meterCategory } from '@jokulgale/core/visit/meterCategory'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { currentCall } from '../visit/CallBar'
import type { Briefing } from '@jokulgale/core/diagnosis/briefing'
import { runningDelays, waitToSay } from '../delays/clock'
import { PointSpot } from '../panel/PointSpot'
import type { OpenVisit } from '../visit/useVisit'
import { diagnosisService } from '../../workers/diagnosis'
import { NumberPad, ohmMultiples } from './NumberPad'
import { PointChooser } from './PointChooser'
import { Line } from '../../ui/Line'

export interface ReadingWanted {
  readonly meter: Meter
  readonly from: string
  readonly to: string
}

interface ReadingSheetProps {
  readonly visit: OpenVisit
  readonly wanted: ReadingWanted | null
  readonly delays: Briefing['delays']
  readonly onClose: () => void
  readonly onLogged: (entry: string, words: string) => void
}

/**
 * Enters a reading: function, both leads, the value. What no state of the circuit can give is asked about
 * once.
 */
export function ReadingSheet({ visit, wanted, delays, onClose, onLogged }: ReadingSheetProps) {
  return (
    <Sheet title="Reading" open={wanted !== null} onClose={onClose}>
      {wanted ? (
        <ReadingForm
          key={`${wanted.meter} ${wanted.from} ${wanted.to}`}
          visit={visit}
          wanted={wanted}
          delays={delays}
          onLogged={onLogged}
        />
      ) : null}
    </Sheet>
  )
}

function ReadingForm({
  visit,
  wanted,
  delays,
  onLogged,
}: {
  readonly visit: OpenVisit
  readonly wanted: ReadingWanted
  readonly delays: Briefing['delays']
  readonly onLogged: ReadingSheetProps['onLogged']
}) {
  const [meter, setMeter] = useState(wanted.meter)
  const [from, setFrom] = useState(wanted.from)
  const [to, setTo] = useState(wanted.to)
  const [choosing, setChoosing] = useState<'function' | 'red' | 'black' | null>(
    wanted.from === '' ? 'red' : null,
  )
  const [doubt, setDoubt] = useState<{ readonly value: number | null; readonly words: string } | null>(null)
  const unit = unitOf(meter)
  const [now] = useState(() => Date.now())
  const [early] = runningDelays(visit.state, delays, now)
  const log = async (value: number | null, typed: string): Promise<void> => {
    const wait = waitToSay(visit.state, visit.bodies, delays, Date.now())
    if (wait) await visit.say(wait)
    await visit.say({ kind: 'reading', meter, from, to, value, typed }, (entry) => {
      onLogged(entry, `${value === null ? 'OL' : `${value} ${unit}`} logged`)
    })
  }
  const done = async (value: number | null, typed: string): Promise<void> => {
    const words = await diagnosisService()
      .doubt(
        visit.ladder,
        { complaint: visit.state.complaint, entries: visit.bodies },
        meter,
        from,
        to,
        value,
      )
      .catch((error: unknown) => (error instanceof Error ? error.message : String(error)))
    if (words === '' || doubt?.value === value) await log(value, typed)
    else setDoubt({ value, words })
  }
  if (choosing === 'function')
    return (
      <FunctionChooser
        meter={meter}
        onChoose={(name) => {
          setMeter(name)
          setChoosing(null)
        }}
      />
    )
  if (choosing !== null) {
    const choose = choosing === 'red' ? setFrom : setTo
    return (
      <PointChooser
        diagram={visit.diagram}
        among={pointsFor(visit, meter, choosing, from)}
        onChoose={(point) => {
          choose(point)
          setChoosing(choosing === 'red' && to === '' ? 'black' : null)
        }}
      />
    )
  }
  const blocked = blockedBecause(visit, { meter, from, to })
  return (
    <Stack gap="small">
      <Line gap="small">
        <Press
          grow
          title={meterWords[meter]}
          label={`Function: ${meterWords[meter]}. Change`}
          onPress={() => {
            setChoosing('function')
          }}
        />
      </Line>
      <Line gap="small">
        <Press
          grow
          title={`${isInWire(meter) ? 'From' : 'Red'} ${from}`}
          onPress={() => {
            setChoosing('red')
          }}
        />
        <Press
          grow
          title={`${isInWire(meter) ? 'to' : 'Black'} ${to}`}
          onPress={() => {
            setChoosing('black')
          }}
        />
      </Line>
      <Words
        size="small"
        quiet
      >{`${visit.diagram.points.get(from)?.words ?? from} · call: ${visit.diagram.calls.find(({ id }) => id === currentCall(visit))?.words ?? ''}`}</Words>
      {[
        meterCategory(visit.state, visit.diagram, meter, [from, to]),
        meterCaution(meter),
        early
          ? `${early.words} needs ${early.secondsLeft} s more: a reading behind it is judged as taken early.`
          : '',
        doubt ? `${doubt.words} To log it all the same, press Log again.` : '',
      ]
        .filter(Boolean)
        .map((words) => (
          <Notice key={words} kind="caution">
            {words}
          </Notice>
        ))}
      {blocked ? <Notice kind="wrong">{blocked}</Notice> : null}
      {blocked ? null : (
        <NumberPad
          unit={unit}
          overload={isDead(meter)}
          multiples={meter === 'ohms' ? ohmMultiples : []}
          signed={meter === 'dc'}
          onDone={(value, typed) => {
            void done(value, typed)
          }}
        />
      )}
      {from === '' ? null : <PointSpot visit={visit} point={from} />}
    </Stack>
  )
}

const partners = ({ diagram }: OpenVisit, point: string): readonly string[] =>
  [...diagram.wires.values()].flatMap((wire) =>
    wire.from === point ? [wire.to] : wire.to === point ? [wire.from] : [],
  )

/** What a lead may be held to with a function; null for every point. */
function pointsFor(
  visit: OpenVisit,
  meter: Meter,
  choosing: 'red' | 'black',
  from: string,
): readonly string[] | null {
  if (isInWire(meter)) return clampable(visit, choosing, from)
  return meter === 'microfarads' ? capacitorPoints(visit.diagram) : null
}

/** Points of wires that a clamp can be closed around: every end, or the other ends of those at a point. */
const clampable = (visit: OpenVisit, choosing: 'red' | 'black', from: string): readonly string[] =>
  choosing === 'black'
    ? partners(visit, from)
    : [...visit.diagram.wires.values()].flatMap((wire) => [wire.from, wire.to])

/** Why a reading cannot be taken like this; empty when it can. */
function blockedBecause(visit: OpenVisit, { meter, from, to }: ReadingWanted): string {
  if (from === to) return 'Both leads are on one point.'
  if (isDead(meter) && visit.state.power !== 'isolated')
    return `${meterWords[meter]} only with the unit isolated and proven dead: set the power state first.`
  if (isInWire(meter) && !partners(visit, from).includes(to))
    return `No wire joins ${from} and ${to}: choose the two ends of the wire.`
  return meter === 'microfarads' && !areOfOneCapacitor(visit.diagram, from, to)
    ? 'Choose the two terminals of one capacitor.'
    : ''
}

interface FunctionChooserProps {
  readonly meter: Meter
  readonly onChoose: (meter: Meter) => void
}

function FunctionChooser({ meter, onChoose }: FunctionChooserProps) {
  return (
    <Stack gap="small">
      {meters.map((name) => (
        <Press
          key={name}
          title={meterWords[name]}
          selected={name === meter}
          onPress={() => {
            onChoose(name)
          }}
        />
      ))}
    </Stack>
  )
}
