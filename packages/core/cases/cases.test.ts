import { readFileSync } from 'node:fs'
import path from 'node:path'
import { diagnose, judge, type Judgement } from '../diagnosis/diagnose'
import { gather } from '../visit/evidence'
import { atArrival } from '../visit/standing'
import type { Step } from '../diagnosis/steps'
import { tellsOfCircuit } from '../visit/tellsOfCircuit'
import { pick } from '../diagnosis/nextStep'
import { readCaseFile } from '../formats/caseFile'
import { builtInUnit } from '../units/index'
import type { CaseFile, EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'

/** Case file → the fault, or set of faults, behind it. */
const truths: Readonly<Record<string, string>> = {
  '01-humidity-crossed': 'OHS:leads-crossed',
  '01b-return-contact': 'EC:pass1-open',
  '02-second-stage-lead': 'TS.Y2-TB.Y2:open',
  '02b-lockout': 'LAL:contact-open',
  '02c-lockout-then-pressure': 'HPS2:tripped',
  '03-low-pressure': 'LPS1:tripped',
  '04-detector-dead': 'SMK:dead',
  '04b-detector-lead': 'SMK.NC-SD.2:on:SMK.NO',
  '05-wrong-tap': 'XF:on-P240',
  '06-defrost-relay-coil': 'DHR:coil-shorted',
  '06b-heater-coil': 'HC2:coil-shorted',
  '07-restart-loop': 'HC1:coil-shorted',
  '08-chafed-outdoors': 'TB.R-OT.R:grounded',
  '08b-crossed': 'TB.R-OT.R:crossed:TB.C-OT.C',
  '09-back-feed': 'GR:throws1-joined',
  '09b-heater-relay': 'HR:made1-welded',
  '10-fan-relay-welded': 'GR:made1-welded',
  '10b-fed-elsewhere': 'TB.R-TS.R:crossed:TS.G-TB.G',
  '11-heater-relay': 'HR:made1-open',
  '11b-limit': 'LS:tripped',
  '12-changeover-stuck': 'CO:stuck-hot',
  '12b-neutral-open': 'NB.2-NB.3:open',
  '13-pole-open': 'CC1:pole2-open',
  '13b-line-side': 'BRO:off',
  '14-disconnect-pole': 'DS:pole1-burnt',
  '15-delta-element': 'HB1:element1-open',
  '15b-heater-fuse': 'HF1:fuse3-open',
  '16-bypass-on-R': 'TB.G-BS.G:on:TB.R',
  '16b-fuel-setup': 'TS:set-heat',
  '17-welded-and-open': 'CC1:pole1-welded + CC1:pole3-open',
  '18-breaker-then-float': 'FLT:contact-open',
  '19-outdoor-sensor-lead': 'EC.SO+-OAT.1:open',
}

const caseOf = (name: string) => readCaseFile(readFileSync(path.join(__dirname, `${name}.json`), 'utf8'))

/** Log-likelihood of all the evidence, without the prior. */
const told = ({ belief }: Judgement, h: number): number => belief.weight.reduce((sum, row) => sum + row[h], 0)

/** Whether two hypotheses part at one of these steps. */
const parts = (steps: readonly Step[], a: number, b: number): boolean =>
  steps.some(({ outcomes }) => {
    const home = (h: number): number => outcomes.findIndex(({ hypotheses }) => hypotheses.includes(h))
    return home(a) !== home(b)
  })

/** The file with the first of the readings asked for, as a hypothesis has it. */
function answeredAs(h: number, file: CaseFile, next: readonly Step[]): CaseFile {
  const ask = next.find((step) => step.do === 'measure')
  if (ask?.do !== 'measure') throw new Error('no reading is asked for')
  const { meter, from, to, predicted } = ask
  const value = Number.isNaN(predicted[h]) ? null : Math.round(predicted[h])
  return { ...file, entries: [...file.entries, { kind: 'reading', meter, from, to, value }] }
}

/** One unit after another: what is solved of a unit is kept until others have been asked for. */
const unitByUnit = Object.entries(truths).sort(([a], [b]) => (caseOf(a).unit < caseOf(b).unit ? -1 : 1))

test.each(unitByUnit)(
  '%s: the true fault leads, or is tied with what its entries cannot tell from it',
  (name, truth) => {
    const file = caseOf(name)
    const judgement = judge(builtInUnit(file.unit), file)
    const { model, ranked, belief } = judgement
    const [leader] = ranked
    const h = model.hypotheses.findIndex(({ id }) => id === truth)
    expect(h).toBeGreaterThan(0)
    if (leader === h) return
    // tied: the entries favour the leader by less than e to one; only priors set them apart
    if (told(judgement, leader) - told(judgement, h) > 1)
      throw new Error(
        `${model.hypotheses[leader].id} at ${belief.probability[leader].toFixed(2)} leads ${truth} by its evidence`,
      )
    // no demand where no reading there is could part them
    const { steps, next } = diagnose(builtInUnit(file.unit), file)
    if (!parts(pick(steps, Infinity), leader, h)) return
    if (parts(next, leader, h)) return
    // else they part what is as probable first, and the steps after the first of them do
    const after = diagnose(builtInUnit(file.unit), answeredAs(h, file, [...next, ...steps]))
    if (after.ranked[0] !== h && !parts(after.next, after.ranked[0], h))
      throw new Error(`no proposed step parts ${model.hypotheses[leader].id} from ${truth}`)
  },
)

test.each(Object.keys(truths))('%s: entries that are said to tell nothing tell nothing', (name) => {
  const file = caseOf(name)
  const diagram = builtInUnit(file.unit)
  const asides: readonly EntryBody[] = [
    { kind: 'arrived' },
    { kind: 'note', words: 'wet roof' },
    { kind: 'go-ahead', by: 'owner', words: 'go on' },
    { kind: 'restored', item: 'panels', is: true },
  ]
  const entries = [...asides, ...file.entries.flatMap((entry) => [entry, ...asides])]
  expect(gather(diagram, { ...file, entries: entries.filter(tellsOfCircuit) })).toEqual(
    gather(diagram, { ...file, entries }),
  )
})

test('with nothing read, nothing is certain and there is a step to take', () => {
  const { belief, ranked, next } = diagnose(builtInUnit('rooftop-two-stage'), {
    complaint: 'not-cooling',
    entries: [],
  })
  expect(belief.probability[ranked[0]]).toBeLessThan(0.1)
  // weather first, where a healthy unit would read otherwise in other weather
  expect(next[0]).toMatchObject({ do: 'condition', of: 'outdoorDryBulb', first: 'reading' })
  expect(Math.max(...next.map(({ bits }) => bits))).toBeGreaterThan(0.5)
})

test('one mad reading does not kill the truth', () => {
  const file = caseOf('03-low-pressure')
  const after = (...entries: readonly EntryBody[]) =>
    judge(builtInUnit(file.unit), { ...file, entries: [...file.entries, ...entries] })
  const mad = volts('TB.R', 0)
  const { model, ranked } = after(mad)
  expect(ranked.slice(0, 8).flatMap((h) => model.hypotheses[h].of)).toContain('LPS1')
  // read once more as it is
  const again = after(mad, volts('TB.R', 25))
  expect(again.model.hypotheses[again.ranked[0]].of).toContain('LPS1')
})

test('a healthy unit, read all along a path, is called healthy', () => {
  const unit = builtInUnit('fan-coil-cooling')
  const { model } = judge(unit, { complaint: '', entries: [] })
  const entries = unit.calls.flatMap((call) => {
    const situation = model.situation(atArrival(unit, call.id))
    const read = (from: string, to: string) =>
      ({
        kind: 'reading',
        meter: 'volts',
        from,
        to,
        value: situation.predict('volts', from, to, [0])[0],
      }) as const
    return [
      { kind: 'call', call: call.id } as const,
      ...['TB.R', 'TB.G', 'TB.Y1', 'CC1.A1', 'OS.Y', 'FLT.2'].map((point) => read(point, 'TB.C')),
      read('CC1.T1', 'CC1.T2'),
      read('IFM.C', 'IFM.R'),
      read('GR.COM1', 'GR.NO1'),
      read('CC1.L1', 'CC1.L2'),
    ]
  })
  const { ranked, belief } = judge(unit, { complaint: '', entries })
  expect(model.hypotheses[ranked[0]].id).toBe('none')
  // what these readings did not touch is still there to be named
  expect(belief.probability[ranked[0]]).toBeLessThan(0.9)
})
