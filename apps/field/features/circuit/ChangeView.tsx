import type { CircuitChange } from '@jokulgale/core/changes/circuitChange'
import { leadWords } from '@jokulgale/core/changes/leadChange'
import { partChangeWords } from '@jokulgale/core/changes/partChange'
import { callWords, partWords, type Diagram } from '@jokulgale/core/diagram/diagram'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'

interface ChangeViewProps {
  readonly change: CircuitChange
  readonly before: Diagram
  readonly after: Diagram
}

/** What a change of a circuit does, from the danger to the proof: worked out before a lead is moved. */
export function ChangeView({ change, before, after }: ChangeViewProps) {
  const nameOf = (part: string): string => partWords(before.parts.has(part) ? before : after, part)
  const { leads, parts, loads, lostGuards, givenUp, tooMuch, prove } = change
  if (leads.length + parts.length === 0) return <Words quiet>Nothing differs from the circuit it has.</Words>
  return (
    <Stack gap="large">
      {lostGuards.length > 0 ? (
        <Part title="Safety controls that would be lost">
          {lostGuards.map((lost) => (
            <Notice key={`${lost.call} ${lost.guard} ${lost.load}`} kind="wrong">
              {`${callWords(after, lost.call)}: ${nameOf(lost.guard)} would no longer stop ${nameOf(lost.load)}`}
            </Notice>
          ))}
        </Part>
      ) : null}
      <Cautions title="More than it can bear" lines={tooMuch} />
      <Cautions title="Given up by it" lines={givenUp} />
      {parts.length > 0 ? <Listed title="Parts" lines={parts.map(partChangeWords)} /> : null}
      {leads.length > 0 ? <Listed title="Lead by lead" lines={leads.map(leadWords)} /> : null}
      <Listed
        title="What runs differently"
        none="Nothing, in any call."
        lines={loads.map(
          ({ call, load, was, now }) =>
            `${callWords(after, call)}: ${nameOf(load)}, ${ampsWords(was)} before, ${ampsWords(now)} after`,
        )}
      />
      <Listed title="Proven afterwards, in each of these calls" lines={prove.map(({ words }) => words)} />
    </Stack>
  )
}

function Cautions({ title, lines }: Pick<ListedProps, 'title' | 'lines'>) {
  if (lines.length === 0) return null
  return (
    <Part title={title}>
      {lines.map((words) => (
        <Notice key={words} kind="caution">
          {words}
        </Notice>
      ))}
    </Part>
  )
}

interface ListedProps {
  readonly title: string
  readonly lines: readonly string[]
  /** What is said where there are none. */
  readonly none?: string
}

function Listed({ title, lines, none }: ListedProps) {
  return (
    <Part title={title}>
      {lines.length === 0 && none ? <Words quiet>{none}</Words> : null}
      {lines.map((line, k) => (
        <Words key={line}>{`${k + 1}  ${line}`}</Words>
      ))}
    </Part>
  )
}

const ampsWords = (amps: number): string => (amps === 0 ? 'still' : `${amps.toFixed(1)} A`)
