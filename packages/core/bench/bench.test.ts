import fc from 'fast-check'
import { builtInUnit, builtInUnitIds } from '../units/index'
import { microfaradsOf } from './capacitor'
import { bankPattern, lineAmps } from './heaterAmps'
import { sensibleFactorAt } from './heatRise'
import { benchToolOf, benchTools } from './index'
import { outdoorShare } from './mixedAir'
import type { BenchTool, Verdict } from './tool'
import { degreesBetween } from './transformerPhasing'
import { noLoadSecondary } from './transformerTap'
import { systemsRead } from './supplySystem'
import { rolesOf } from './relayContacts'
import { deratingAt, unbalanceOf } from './unbalance'

const tool = (id: string): BenchTool => {
  const found = benchToolOf(id)
  if (!found) throw new Error(`no tool ${id}`)
  return found
}
const verdictOf = (id: string, given: Readonly<Record<string, number>>): Verdict => {
  const outcome = tool(id).work(given)
  if (outcome.is === 'problems') throw new Error(JSON.stringify(outcome.problems))
  return outcome.verdict
}
const line = (verdict: Verdict, what: string): string =>
  verdict.lines.find((each) => each.what === what)?.value ?? ''

describe('published answers', () => {
  test.each([
    [[203, 209, 212], 208, 2.4],
    [[461, 466, 478], 468.33, 2.06],
    [[230, 228, 219], 225.67, 2.95],
  ])('%j V: average %d, unbalance %d %%', (values, mean, share) => {
    const found = unbalanceOf(values)
    expect(found.mean).toBeCloseTo(mean, 1)
    expect(100 * found.share).toBeCloseTo(share, 2)
  })

  test('derating of MG-1, and never above five per cent', () => {
    expect([0.5, 1, 2, 3, 4, 5, 5.01].map(deratingAt)).toEqual([1, 1, 0.95, 0.88, 0.82, 0.75, null])
    expect(deratingAt(2.5)).toBeCloseTo(0.915)
  })

  test('transformers: full load, and the secondary by tap with nothing on it', () => {
    expect(line(verdictOf('transformer-load', { rating: 40, secondary: 24 }), 'Full load')).toBe('1.667 A')
    expect(line(verdictOf('transformer-load', { rating: 75, secondary: 24 }), 'Full load')).toBe('3.125 A')
    expect(noLoadSecondary(208, 208, 24)).toBeCloseTo(26.4)
    expect(noLoadSecondary(208, 230, 24)).toBeCloseTo(23.87, 2)
    expect(noLoadSecondary(208, 240, 24)).toBeCloseTo(22.88, 2)
    const low = verdictOf('transformer-tap', { supply: 208, secondary: 23.9 })
    expect(low).toMatchObject({ level: 'act', words: expect.stringMatching(/230 V tap.*208 V tap/) })
  })

  test('electric heat: 10 kW on 208 V, 15 kW in delta with an element or a line open', () => {
    expect(10 * (208 / 240) ** 2).toBeCloseTo(7.51, 2)
    expect(lineAmps(10, 240, 208, false)).toBeCloseTo(36.1, 1)
    expect(lineAmps(10, 240, 208, true)).toBeCloseTo(20.85, 2)
    expect(lineAmps(5, 240, 240, false)).toBeCloseTo(20.83, 2)
    const whole = lineAmps(15, 240, 240, true)
    expect(whole).toBeCloseTo(36.08, 2)
    expect(bankPattern([20.83, 36.08, 20.83], whole, 'delta')?.words).toMatch(/one element/)
    expect(bankPattern([31.25, 31.25, 0], whole, 'delta')?.words).toMatch(/one line/)
    expect(bankPattern([36, 36.1, 36.2], whole, 'delta')?.level).toBe('good')
  })

  test('airflow by the heater, and the factor at altitude', () => {
    expect(verdictOf('heat-rise', { kw: 9.6, entering: 70, leaving: 97 }).words).toMatch(/1123 CFM/)
    expect(sensibleFactorAt(2000)).toBeCloseTo(1.004, 2)
    expect(sensibleFactorAt(5280)).toBeCloseTo(0.889, 2)
  })

  test('outdoor air in the mixture', () => {
    expect(100 * outdoorShare(74, 66, 48)).toBeCloseTo(30.8, 1)
    expect(100 * outdoorShare(75, 71, 41)).toBeCloseTo(11.8, 1)
    expect(verdictOf('mixed-air', { returnAir: 74, mixed: 72, outdoor: 70 }).words).toMatch(/says nothing/)
  })

  test('a run capacitor by its load', () => {
    expect(microfaradsOf(6.4, 372, 60)).toBeCloseTo(45.6, 1)
    expect(verdictOf('capacitor', { load: 6.4, across: 372, plate: 45 }).level).toBe('good')
    expect(verdictOf('capacitor', { load: 6.4, across: 372, plate: 50 }).words).toMatch(/Weak/)
  })

  test('thermistors of the two families', () => {
    expect(verdictOf('sensor', { ohms: 19.9, air: 50 }).words).toMatch(/Right/)
    expect(line(verdictOf('sensor', { ohms: 32.65, air: 32 }), 'Type 2 at 32 °F')).toBe('32.65 kΩ')
    expect(line(verdictOf('sensor', { ohms: 32.65, air: 32 }), 'Type 3 at 32 °F')).toBe('29.49 kΩ')
    expect(verdictOf('sensor', { ohms: 10, air: 40 }).level).toBe('act')
  })
})

test('limits: each side of every threshold', () => {
  const drop = (drop1: number, drop2: number, drop3: number) =>
    verdictOf('pole-drop', { drop1, drop2, drop3, load: 20 }).level
  expect([drop(20, 22, 25), drop(90, 95, 101), drop(290, 295, 301), drop(31, 31, 63)]).toEqual([
    'good',
    'watch',
    'act',
    'act',
  ])
  const coil = (measured: number) => verdictOf('coil-volts', { measured, rated: 24 }).level
  expect([0, 17, 19, 20.4, 26.4, 26.6].map(coil)).toEqual(['act', 'act', 'watch', 'good', 'good', 'act'])
  const winding = (megohms: number) => verdictOf('insulation', { winding: megohms }).level
  expect([0.05, 0.5, 2, 5, 500].map(winding)).toEqual(['act', 'act', 'watch', 'good', 'good'])
})

test('the leg that moves with the leads is the supply’s, the one that stays the motor’s', () => {
  const before = { beforeA: 20, beforeB: 15, beforeC: 15 }
  expect(verdictOf('turn-leads', { ...before, afterA: 20, afterB: 15, afterC: 15 }).words).toMatch(/motor/)
  expect(verdictOf('turn-leads', { ...before, afterA: 15, afterB: 20, afterC: 15 }).words).toMatch(/supply/)
  expect(verdictOf('turn-leads', { ...before, afterA: 15, afterB: 15, afterC: 20 }).level).toBe('watch')
})

describe.each(benchTools.map(({ id }) => [id]))('%s', (id) => {
  const { inputs, extras, work } = tool(id)
  const asked = { ...inputs, ...extras }

  test('answers every possible set of numbers with words, and never with NaN', () => {
    const numbers = fc.record(
      Object.fromEntries(
        Object.entries(asked).map(([input, { least, most }]) => [
          input,
          fc.double({ min: least, max: most, noNaN: true }),
        ]),
      ),
    )
    fc.assert(
      fc.property(numbers, (given) => {
        const outcome = work(given)
        const said = JSON.stringify(outcome)
        expect(said).not.toMatch(/NaN|Infinity|null|undefined/)
        if (outcome.is === 'verdict') expect(outcome.verdict.words).not.toBe('')
        else expect(outcome.problems.every(({ input }) => input in asked)).toBe(true)
      }),
    )
  })

  test('names each number that is missing or cannot be', () => {
    for (const input of Object.keys(inputs)) {
      const usual = Object.fromEntries(
        Object.entries(inputs).map(([name, { least, most }]) => [name, (least + most) / 2]),
      )
      for (const bad of [
        undefined,
        Number.NaN,
        ...(inputs[input].mayOverload ? [] : [Infinity]),
        inputs[input].most * 2 + 1,
        inputs[input].least - 1,
      ]) {
        const outcome = work({ ...usual, [input]: bad as number })
        expect(outcome).toMatchObject({ is: 'problems', problems: [{ input }] })
      }
    }
  })
})

test('every place that a tool names in a unit is there, with inputs that the tool has', () => {
  for (const id of builtInUnitIds) {
    const diagram = builtInUnit(id)
    for (const { places, inputs, extras } of benchTools)
      for (const { part, known, readings } of places(diagram)) {
        expect(diagram.parts.has(part)).toBe(true)
        const names = Object.keys({ ...inputs, ...extras })
        expect(names).toEqual(expect.arrayContaining([...Object.keys(known), ...Object.keys(readings)]))
        for (const { from, to } of Object.values(readings))
          expect([
            from,
            to,
            diagram.points.has(from),
            to === 'EARTH' || diagram.points.has(to ?? ''),
          ]).toEqual([from, to, true, true])
      }
  }
})

test.each(benchTools.map(({ id, example, work }) => [id, example, work] as const))(
  '%s: its worked example stands, and every number of it matters to its place',
  (id, example, work) => {
    const outcome = work(example)
    expect(outcome.is).toBe('verdict')
    // without any number that it needs it says which is missing
    for (const input of Object.keys(tool(id).inputs)) {
      const rest = Object.fromEntries(Object.entries(example).filter(([name]) => name !== input))
      expect(work(rest)).toMatchObject({ is: 'problems', problems: [{ input }] })
    }
  },
)

describe('two transformers', () => {
  test('the angle of two secondaries follows from what stands between them', () => {
    expect(degreesBetween(26, 26, 0)).toBeCloseTo(0)
    expect(degreesBetween(26, 26, 52)).toBeCloseTo(180)
    // primaries on different leg pairs of three: 60 or 120 degrees
    expect(degreesBetween(26, 26, 26)).toBeCloseTo(60)
    expect(degreesBetween(26, 26, 26 * Math.sqrt(3))).toBeCloseTo(120)
  })

  test('any angle comes back from the third side that it makes', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 30, noNaN: true }),
        fc.double({ min: 1, max: 179, noNaN: true }),
        (first, degrees) => {
          const second = 24
          const between = Math.sqrt(
            first ** 2 + second ** 2 - 2 * first * second * Math.cos((degrees * Math.PI) / 180),
          )
          expect(degreesBetween(first, second, between)).toBeCloseTo(degrees, 4)
        },
      ),
    )
  })

  test('opposite ones are refused before anything is joined; a lead that does not touch is told', () => {
    expect(verdictOf('transformer-phasing', { first: 26, second: 25, between: 51 }).words).toMatch(
      /^Opposite/,
    )
    expect(verdictOf('transformer-phasing', { first: 26, second: 25, between: 1 }).level).toBe('good')
    expect(verdictOf('transformer-phasing', { first: 28, second: 12, between: 2 }).level).toBe('watch')
  })
})

describe('a supply by its legs', () => {
  test.each([
    [[208, 209, 207], [120, 121, 119], '208Y/120'],
    [[241, 239, 240], [120, 208, 121], '240 high leg'],
    [[478, 481, 480], [277, 276, 278], '480Y/277'],
    [[575, 574, 577], [331, 332, 333], '575Y/332'],
  ] as const)('%j V between, %j V to ground: %s, whichever leg is where', (between, toGround, name) => {
    expect(systemsRead({ between, toGround })).toEqual([name])
    const [a, b, c] = toGround
    expect(systemsRead({ between, toGround: [c, a, b] })).toEqual([name])
  })

  test('a leg at ground is a corner only where all three leg-to-leg values stand; else it is lost', () => {
    const legs = { groundA: 0, groundB: 240, groundC: 241 }
    const whole = verdictOf('supply-system', { voltsA: 240, voltsB: 241, voltsC: 239, ...legs })
    expect(whole.words).toMatch(/corner-grounded delta/)
    const lost = verdictOf('supply-system', {
      voltsA: 0,
      voltsB: 208,
      voltsC: 205,
      groundA: 2,
      groundB: 120,
      groundC: 120,
    })
    expect(lost).toMatchObject({
      level: 'act',
      words: expect.stringMatching(/^L1 to ground is nothing: lost/),
    })
  })
})

describe('a relay with no drawing on it', () => {
  const open = Infinity
  test('its common is in both pairs, for every order of the pins', () => {
    expect(rolesOf([0.2, open, open], [open, 0.3, open])).toEqual({ common: 'A', resting: 'B', making: 'C' })
    expect(rolesOf([0.2, open, open], [open, open, 0.3])).toEqual({ common: 'B', resting: 'A', making: 'C' })
    expect(rolesOf([open, 0.1, open], [open, open, 0.1])).toEqual({ common: 'C', resting: 'A', making: 'B' })
  })

  test('welded, joined and dead ones have no roles, and the words say why', () => {
    const words = (rest: readonly number[], fed: readonly number[]): string =>
      verdictOf('relay-contacts', {
        restAB: rest[0],
        restAC: rest[1],
        restBC: rest[2],
        fedAB: fed[0],
        fedAC: fed[1],
        fedBC: fed[2],
      }).words
    expect(words([0.2, open, open], [0.2, open, open])).toMatch(/^Nothing changes over/)
    expect(words([0.2, open, open], [0.2, 0.2, 0.2])).toMatch(/joined/)
    expect(words([open, open, open], [open, open, open])).toMatch(/not pins of one pole/)
    expect(words([open, open, open], [open, open, 0.2])).toMatch(/open at rest/)
  })
})

test('a bank in wye looks alike with an element or a line open: two lines of 0.866, one of nothing', () => {
  const whole = lineAmps(15, 240, 240, true)
  const [two] = [(Math.sqrt(3) / 2) * whole]
  expect(bankPattern([two, 0, two], whole, 'wye')?.words).toMatch(/one element or one line/)
  expect(bankPattern([whole, whole / Math.sqrt(3), whole / Math.sqrt(3)], whole, 'wye')).toBeNull()
})

test('hard-start parts: the worst is named, and an open coil sends one to the capacitor', () => {
  expect(verdictOf('hard-start', { measured: 90, marked: 88 }).level).toBe('good')
  expect(verdictOf('hard-start', { measured: 40, marked: 88 }).words).toMatch(/lost its value/)
  expect(verdictOf('hard-start', { measured: 90, marked: 88, contact: Infinity }).words).toMatch(
    /does not make at rest/,
  )
  expect(verdictOf('hard-start', { measured: 90, marked: 88, coil: Infinity }).words).toMatch(/bursts/)
})
