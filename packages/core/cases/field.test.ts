import { readFileSync } from 'node:fs'
import path from 'node:path'
import { diagnose, judge, type Diagnosis, type Judgement } from '../diagnosis/diagnose'
import { classesOf } from '../diagnosis/classes'
import { sideFindings } from '../diagnosis/sideFindings'
import { isShort } from '../diagnosis/resistance'
import { readCaseFile } from '../formats/caseFile'
import { builtInUnit } from '../units/index'
import type { CaseFile, EntryBody } from '../visit/entry'

/** Readings as they come in from the field: rounded, on units a little unlike their drawing. */
const fileOf = (name: string): CaseFile =>
  readCaseFile(readFileSync(path.join(__dirname, 'field', `${name}.json`), 'utf8'))

const judged = (name: string): Judgement => {
  const file = fileOf(name)
  return judge(builtInUnit(file.unit), file)
}

/** The same, and what is asked for next. */
const diagnosed = (name: string): Diagnosis => {
  const file = fileOf(name)
  return diagnose(builtInUnit(file.unit), file)
}

/** Probability of all suspects that have one of these faults among theirs. */
const share = ({ model, belief }: Judgement, ...ids: readonly (string | RegExp)[]): number =>
  model.hypotheses.reduce((sum, { faults }, h) => {
    const isIt = faults.some(({ id }) =>
      ids.some((wanted) => (typeof wanted === 'string' ? wanted === id : wanted.test(id))),
    )
    return isIt ? sum + (belief.probability[h] ?? 0) : sum
  }, 0)

/** Probability of all suspects that no reading parts from the leading one. */
function shareOfClass({ model, belief, ranked }: Judgement): number {
  const classes = classesOf(model)
  return model.everySingle.reduce(
    (sum, h) => (classes[h] === classes[ranked[0]] ? sum + belief.probability[h] : sum),
    0,
  )
}

const leader = ({ model, ranked }: Judgement): string => model.hypotheses[ranked[0]].id
const shorts = ({ model, belief }: Judgement): number =>
  model.hypotheses.reduce(
    (sum, { faults }, h) => (faults.some(isShort) ? sum + (belief.probability[h] ?? 0) : sum),
    0,
  )

test('a relay with volts on its coil and nothing behind it: contact and coil are near each other, and one look parts them', () => {
  const before = diagnosed('01-relay-contact')
  const [contact, coil] = ['HR:made1-open', 'HR:coil-open'].map((id) => share(before, id))
  expect(contact + coil).toBeGreaterThan(0.8)
  expect(Math.max(contact, coil) / Math.min(contact, coil)).toBeLessThan(2)
  expect(before.next[0].outcomes.length).toBeGreaterThan(1)
  expect(share(judged('01-relay-contact-pulled-in'), 'HR:made1-open')).toBeGreaterThan(0.8)
})

test('a heater of two elements with one open is accepted, and named beside the contact', () => {
  const found = judged('02-one-of-two-elements')
  expect(share(found, 'HR:made1-open')).toBeGreaterThan(0.8)
  expect(sideFindings(found).map(({ id }) => id)).toContain('HE1:element-part')
})

test.each(['03-fuse-blown-seen', '03-fuse-blown-ohms', '03-fuse-seen-then-ohms', '03-fuse-ohms-then-seen'])(
  '%s: a blown fuse stays blown, and speaks for the short that blew it',
  (name) => {
    const found = judged(name)
    expect(shorts(found)).toBeGreaterThan(0.7)
    expect(share(found, 'FU:fuse1-open')).toBeLessThan(0.2)
  },
)

test.each(['air-handler-heat', 'fan-coil-hydronic', 'package-proving', 'unit-heater'])(
  '%s: a control fuse that reads open speaks for a short, as one that is seen to be blown does',
  (unit) => {
    const diagram = builtInUnit(unit)
    for (const found of [
      { kind: 'reading', meter: 'ohms', from: 'FU.L1', to: 'FU.T1', value: null },
      { kind: 'observation', what: 'blown', of: 'FU' },
    ] as const) {
      const entries = [{ kind: 'power', is: 'isolated' }, found] as const
      const read = judge(diagram, { complaint: 'blank-thermostat', entries })
      expect(shorts(read)).toBeGreaterThan(0.7)
      expect(share(read, 'FU:fuse1-open')).toBeLessThan(0.2)
    }
  },
)

test('a stand-in that trips at once with nothing called: a short that is there with nothing called', () => {
  const found = judged('04-stand-in-trips-in-off')
  expect(share(found, /^(TB\.R-|RBK\.1-|DR\.2-|FLT|FU\.T1-|OT\.R-|TB\.C-)/)).toBeGreaterThan(0.7)
  expect(share(found, 'CC1:coil-shorted')).toBeLessThan(0.05)
})

test('amps by mode with a stand-in: the mode in which they leap names the coil', () => {
  const found = judged('05-modes-and-amps')
  expect(leader(found)).toMatch(/^HC[12]:coil-shorted$/)
  // shorted across or to metal: a coil that is renewed
  expect(share(found, /^HC[12]:(coil-shorted|A1-grounded)$/)).toBeGreaterThan(0.79)
})

test.each([
  ['06-heater-coil-0-volts', 0.5],
  ['06-heater-coil-2-volts', 0.5],
  ['06-heater-coil-5-volts', 0.6],
  ['06-heater-coil-9-volts', 0.6],
])('%s: a shorted coil leads, with %f or more, whatever is left of the secondary', (name, least) => {
  const found = judged(name)
  expect(leader(found)).toBe('HC1:coil-shorted')
  expect(shareOfClass(found)).toBeGreaterThan(0.5)
  expect(share(found, /^HC1:(coil-shorted|A1-grounded)$/)).toBeGreaterThan(least)
})

test.each(['07-chafe-0-3-ohms', '07-chafe-1-2-ohms', '07-chafe-2-8-ohms', '07-chafe-6-ohms'])(
  '%s: the stretch behind the plug leads, from dead short to wet carbon',
  (name) => {
    expect(share(judged(name), /^PL\.1B-EC\.Y1I:/)).toBeGreaterThan(0.7)
  },
)

test('balanced legs at three quarters of the rating raise no fault', () => {
  const { belief, ranked, model } = judged('08-light-load')
  expect(model.hypotheses[ranked[0]].id).toBe('none')
  expect(belief.probability[ranked[1]]).toBeLessThan(0.05)
})

test.each([
  ['09-open-pole-from-rest', 'CC1:pole3-open', 0.6],
  ['10-switched-pole-on-240', 'CC1:pole2-open', 0.8],
  ['11-both-throws-joined', 'GR:throws1-joined', 0.8],
  ['13-blind-detector', 'SMK:blind', 0.8],
  ['14-casing-openings', 'DRN:casing', 0.8],
  ['15-handle-off', 'DS:off', 0.9],
  ['17-element-by-a-low-clamp', 'HB1:element2-open', 0.7],
  ['18-rollout-tripped', 'RO:tripped', 0.9],
])('%s: %s leads, at %f or more', (name, fault, least) => {
  const found = judged(name)
  expect(leader(found)).toBe(fault)
  expect(share(found, fault)).toBeGreaterThanOrEqual(least)
})

test.each(['air-handler-heat', 'package-heat-pump', 'terminal-box'])(
  '%s: any handle that is seen off is off, whatever was complained of that it may stop',
  (unit) => {
    const diagram = builtInUnit(unit)
    const handles = [...diagram.parts.values()].flatMap(({ id, kind, settings }) =>
      kind.lookWords?.(settings).includes('off') ? [id] : [],
    )
    expect(handles.length).toBeGreaterThan(1)
    for (const of of handles)
      for (const complaint of ['no-heat', 'no-air']) {
        const seen = judge(diagram, { complaint, entries: [{ kind: 'observation', what: 'off', of }] })
        expect(share(seen, `${of}:off`)).toBeGreaterThan(0.9)
      }
  },
)

test('what came back when the handle was pressed is at the handle, and nothing that is open for good leads', () => {
  const found = judged('12-disconnect-comes-and-goes')
  expect(leader(found)).toMatch(/^DS:pole/)
  expect(share(found, /^DS:pole/)).toBeGreaterThan(0.7)
  expect(found.model.comesAndGoes(found.ranked[0])).toBe(true)
})

test('after a trip nobody is asked to put it back and see', () => {
  for (const name of ['18-rollout-tripped', '19-breaker-tripped']) {
    const { steps } = diagnosed(name)
    expect(steps.filter((step) => step.do === 'measure' && step.power === 'on')).toEqual([])
    expect(steps.some((step) => 'deed' in step && step.deed?.verb === 'reset')).toBe(false)
  }
})

test('a secondary low on the volts that were measured is said beside any complaint', () => {
  expect(sideFindings(judged('16-secondary-low')).map(({ id }) => id)).toContain('tap')
})

test('the second cause leads once the setting is put right', () => {
  const found = judged('20-second-cause')
  expect(leader(found)).toBe('TS.Y2-TB.Y2:open')
  expect(share(found, /^TS\.Y2-TB\.Y2:/)).toBeGreaterThan(0.8)
  // read against the thermostat's common, its lead would look so too; but a setting was read in its menu
  expect(share(found, /^TS\.C-TB\.C:/)).toBeLessThan(0.02)
})

test('no fan call in heat, a blower that is still: the set-up leads, then the lead, no heater part', () => {
  const found = judged('21-fuel-set-up')
  expect(leader(found)).toBe('TS:set-heat')
  expect(share(found, /^TS\.G-TB\.G:/)).toBeGreaterThan(share(found, 'TS:relayG-open'))
  expect(share(found, /^(HB|HC|HF)\d/)).toBeLessThan(0.1)
})

describe.each([0.95, 1.05])('all volts at %s of the drawing’s, and nobody complained', (share) => {
  const typedAt = (volts: number): string =>
    volts < 30 ? (share * volts).toFixed(1) : (share * volts).toFixed(0)
  const readings = {
    control: [
      ['XF.S1', 'TB.C', 26.2],
      ['TB.R', 'TB.C', 26.1],
      ['TS.G', 'TB.C', 26.1],
      ['GR.A1', 'GR.A2', 26.1],
    ],
    line: [
      ['BR.L1', 'BR.L2', 240],
      ['SW.T1', 'SW.T2', 240],
      ['BR.T1', 'EARTH', 120],
    ],
  } as const

  test.each(['control', 'line'] as const)(
    'read of the %s circuit: the supply is off, nothing else',
    (circuit) => {
      const found = judge(builtInUnit('fan-coil-cooling'), {
        complaint: '',
        entries: [
          { kind: 'call', call: 'fan' },
          ...readings[circuit].map(([from, to, volts]): EntryBody => {
            const typed = typedAt(volts)
            return { kind: 'reading', meter: 'volts', from, to, value: Number(typed), typed }
          }),
        ],
      })
      expect(leader(found)).toBe('none')
      const said = sideFindings(found).map(({ id }) => id)
      expect(said).toContain(share < 1 ? 'supply-low' : 'supply-high')
      expect(said).not.toContain('tap')
    },
  )
})

test('a secondary that is high on the volts that were measured is on another tap as well', () => {
  const found = judge(builtInUnit('split-heat-pump'), {
    complaint: 'no-heat',
    entries: [
      { kind: 'call', call: 'off' },
      { kind: 'reading', meter: 'volts', from: 'BRI.L1', to: 'BRI.L2', value: 208, typed: '208' },
      { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 29.5, typed: '29.5' },
    ],
  })
  const [tap] = sideFindings(found).filter(({ id }) => id === 'tap')
  expect(tap.words).toMatch(/ high for the supply that was measured/)
})

test('a switch that somebody put into a lead: not on the drawing, there, and no part is blamed', () => {
  const found = judged('23-extra-switch')
  expect(leader(found)).toBe('TB.Y1-PL.1A:added')
  expect(share(found, /^TB\.Y1-PL\.1A:/)).toBeGreaterThan(0.8)
  for (const id of builtInUnit('rooftop-enthalpy').parts.keys())
    expect(share(found, new RegExp(`^${id}:`))).toBeLessThan(0.5)
})

test('every reading five per cent low: nothing is wrong, and the supply is low', () => {
  const found = judged('22-supply-five-per-cent-low')
  expect(leader(found)).toBe('none')
  expect(sideFindings(found).map(({ id }) => id)).toContain('supply-low')
})
