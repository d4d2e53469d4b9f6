import { useState } from 'react'
import { unitOf } from '@jokulgale/core/circuit/meters'
import { partOfPoint, partWords, pointName, zoneWords, type Diagram } from '@jokulgale/core/diagram/diagram'
import type { DeadLeg, DropPoint, EntryBody } from '@jokulgale/core/visit/entry'
import { isolationCautions } from '@jokulgale/core/visit/isolationCautions'
import { areProvenDead, legsToProve, stillLive, type LegToProve } from '@jokulgale/core/visit/provenDead'
import { storedSeconds, storedWords } from '@jokulgale/core/visit/storedEnergy'
import { Check } from '../../ui/Check'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { toggled } from '../../ui/toggled'
import { Words } from '../../ui/Words'
import { NumberPad } from '../pad/NumberPad'

/** Where a leg comes to hand, and with what it is read. */
function placeWords(diagram: Diagram, { from, meter }: LegToProve): string {
  const name = partWords(diagram, partOfPoint(from))
  const zone = zoneWords(diagram, diagram.points.get(from)?.zone ?? '')
  const place = [name, zone].filter(Boolean).join(', ')
  return meter === 'dc' ? `${place}: direct volts, which stay when power is off` : place
}

const toProve = (legs: readonly LegToProve[]): string =>
  legs.some(({ meter }) => meter === 'dc')
    ? 'Each leg to every other conductor and to ground, and the bus'
    : 'Each leg to every other conductor and to ground'

const legWords = ({ from, to }: DropPoint): string => `${from} to ${pointName(to)}`
const isSame = (a: DropPoint, b: DropPoint): boolean => a.from === b.from && a.to === b.to

/** What to do about one that is not dead. */
const adviceOf = (legs: readonly LegToProve[], live: DeadLeg): string =>
  legs.find((leg) => isSame(live, leg))?.meter === 'dc'
    ? 'It is still charged: wait, and read it again.'
    : 'Find the other source, and read it again.'

interface IsolationFormProps {
  readonly diagram: Diagram
  /** What is put down of it, in order. */
  readonly onProven: (entries: readonly EntryBody[]) => void
}

/**
 * Locked, stored energy waited for, tester proven, each leg dead, tester proven again: only then is the unit
 * isolated.
 */
export function IsolationForm({ diagram, onProven }: IsolationFormProps) {
  const legs = legsToProve(diagram)
  const stored = storedSeconds(diagram)
  const [locked, setLocked] = useState<ReadonlySet<string>>(new Set())
  const [waited, setWaited] = useState(stored === 0)
  const [before, setBefore] = useState(false)
  const [after, setAfter] = useState(false)
  const [read, setRead] = useState<readonly DeadLeg[]>([])
  const [asking, setAsking] = useState<number | null>(null)
  const [live] = stillLive(legs, read)
  const unread = legs.findIndex((leg) => !read.some((each) => isSame(each, leg)))
  // one that was not dead is read again, once what keeps it so has been found
  const next = unread < 0 && live ? legs.findIndex((leg) => isSame(live, leg)) : unread
  const toggle = (id: string): void => {
    setLocked((now) => toggled(now, id))
  }
  const allLocked = diagram.isolators.every((id) => locked.has(id))
  const ready = allLocked && waited && before && after && areProvenDead(legs, read)
  const log = (leg: number, volts: number): void => {
    setRead((now) => [
      ...now.filter((each) => !isSame(each, legs[leg])),
      { from: legs[leg].from, to: legs[leg].to, volts },
    ])
    setAsking(null)
  }
  const finish = (): void => {
    onProven([
      {
        kind: 'isolation',
        sources: [...locked],
        storedEnergySeconds: stored,
        testerBefore: before,
        testerAfter: after,
        legs: read,
      },
      { kind: 'power', is: 'isolated', of: diagram.isolators.join(', ') },
    ])
  }
  if (asking !== null) {
    return (
      <Stack gap="small">
        <Words strong>{legWords(legs[asking])}</Words>
        <NumberPad
          unit={unitOf(legs[asking].meter)}
          onDone={(value) => {
            log(asking, value ?? 0)
          }}
        />
      </Stack>
    )
  }
  return (
    <Stack gap="small">
      {diagram.isolators.map((id) => (
        <Check
          key={id}
          title={`${partWords(diagram, id)} off, locked and tagged`}
          on={locked.has(id)}
          onPress={() => {
            toggle(id)
          }}
        />
      ))}
      {stored > 0 ? (
        <Check
          title={storedWords(diagram)}
          on={waited}
          onPress={() => {
            setWaited(!waited)
          }}
        />
      ) : null}
      <Check
        title="Tester proven on a live source"
        on={before}
        onPress={() => {
          setBefore(!before)
        }}
      />
      <Words strong>{`${toProve(legs)}: ${read.length} of ${legs.length} read`}</Words>
      {next < 0 ? null : (
        <Words size="small" quiet>
          {placeWords(diagram, legs[next])}
        </Words>
      )}
      {live ? (
        <Notice kind="wrong">
          {`${legWords(live)}: ${live.volts} V is not dead. ${adviceOf(legs, live)}`}
        </Notice>
      ) : null}
      {next < 0 ? null : (
        <Line gap="small">
          <Press
            grow
            title={`${legWords(legs[next])} reads 0\u00a0${unitOf(legs[next].meter)}`}
            disabled={!before}
            onPress={() => {
              log(next, 0)
            }}
          />
          <Press
            title="Another value"
            label={`${legWords(legs[next])}: enter another value`}
            disabled={!before}
            onPress={() => {
              setAsking(next)
            }}
          />
        </Line>
      )}
      <Check
        title="Tester proven again"
        on={after}
        onPress={() => {
          setAfter(!after)
        }}
      />
      <Press kind="main" title="Isolated, proven dead" disabled={!ready} onPress={finish} />
      <Words size="small" quiet>
        {isolationCautions(diagram).join(' ')}
      </Words>
    </Stack>
  )
}
