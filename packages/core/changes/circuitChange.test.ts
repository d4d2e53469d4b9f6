import fc from 'fast-check'
import type { Diagram } from '../diagram/diagram'
import { landElsewhere, takePartOut, type LadderEdit } from '../diagram/editLadder'
import { readableLadder, readLadder } from '../diagram/readLadder'
import { builtInUnit, builtInUnitIds, builtInUnitText } from '../units/index'
import { circuitChange } from './circuitChange'
import { leadList, leadWords, type LeadChange } from './leadChange'
import { partChangeWords } from './partChange'

const text = builtInUnitText('fan-coil-cooling')
const before = readLadder(text)
const after = (edit: LadderEdit): Diagram => {
  if (edit.is === 'problem') throw new Error(edit.message)
  return readLadder(edit.text)
}
const rewritten = (from: string, to: string): Diagram => {
  if (!text.includes(from)) throw new Error(`no ${from}`)
  return readLadder(text.replace(from, to))
}

test.each(builtInUnitIds)('%s, left as it is, changes nothing', (id) => {
  const diagram = builtInUnit(id)
  expect(circuitChange(diagram, readLadder(builtInUnitText(id)))).toEqual({
    leads: [],
    parts: [],
    loads: [],
    lostGuards: [],
    givenUp: [],
    tooMuch: [],
    prove: [],
  })
})

test('a pressure switch taken out of the path no longer stops the compressor and its fan', () => {
  const change = circuitChange(before, after(takePartOut(text, before, 'HPS')))
  expect(change.lostGuards).toEqual([
    { call: 'cool1', guard: 'HPS', load: 'C1' },
    { call: 'cool1', guard: 'HPS', load: 'FM' },
  ])
  expect(change.loads).toEqual([])
  expect(change.parts.map(partChangeWords)).toEqual([
    'Take out High-pressure switch (HPS), in Roof, condensing section',
  ])
  expect(change.leads.map(leadWords)).toEqual([
    'Take yellow 32 out, from HPS.2 to CC1.A1',
    'Move yellow 31, which stays on LPS.2: off HPS.1, onto CC1.A1',
  ])
  expect(change.prove.map(({ words }) => words)).toEqual(['Off', 'Cooling'])
})

test('a switch wired around a safety control is a lost control too: it is found by what it stops', () => {
  const around = rewritten(
    'rung "Cooling call" control',
    'rung "Around" control\n  LPS.2 -orange J- CC1.A1\nrung "Cooling call" control',
  )
  const { lostGuards, leads } = circuitChange(before, around)
  expect(lostGuards.map(({ guard, load }) => `${guard} ${load}`)).toEqual(['HPS C1', 'HPS FM'])
  expect(leads.map(leadWords)).toEqual(['Run a new lead orange J from LPS.2 to CC1.A1'])
})

test('a lead landed elsewhere starts what it should not, in the call in which it does', () => {
  const change = circuitChange(before, rewritten('TB.G -green 27- GR.A1', 'TB.G\n  TB.R -green 27- GR.A1'))
  expect(change.leads.map(leadWords)).toEqual(['Move green 27, which stays on GR.A1: off TB.G, onto TB.R'])
  const [off] = change.loads
  expect(off).toMatchObject({ call: 'off', load: 'IFM', was: 0 })
  expect(off.now).toBeGreaterThan(0.5)
  expect(change.loads.every(({ call }) => call === 'off')).toBe(true)
})

test('what a transformer, a breaker or a fuse cannot bear is said before anything is moved', () => {
  const small = circuitChange(
    before,
    rewritten(
      'XF transformer "Control transformer" in hatch : va 40',
      'XF transformer "Control transformer" in hatch : va 8',
    ),
  )
  expect(small.parts.map(partChangeWords)).toEqual([
    expect.stringMatching(/^Control transformer \(XF\): .* 8 instead of 40$/),
  ])
  expect(small.tooMuch.join('\n')).toMatch(/while the coils pull in together/)
  expect(circuitChange(before, rewritten('poles 2, amps 20', 'poles 2, amps 60')).tooMuch).toEqual([
    expect.stringMatching(/^Condensing-section breaker \(BRO\): 60 A where its loads allow/),
  ])
  const shorted = rewritten('FLT.AL -pink 23- AL.1', 'FLT.2 -grey 99- TB.C\n  FLT.AL -pink 23- AL.1')
  expect(circuitChange(before, shorted).tooMuch.join('\n')).toMatch(/Control fuse \(FU\) opens/)
})

/** A circuit’s leads as a set of words, once a list of changes has been carried out on them. */
function carriedOut(diagram: Diagram, changes: readonly LeadChange[]): readonly string[] {
  const lead = (color: string, number: string, a: string, b: string) =>
    `${color} ${number} ${[a, b].sort().join(' ')}`
  const leads = new Set(
    [...diagram.wires.values()].map(({ color, number, from, to }) => lead(color, number, from, to)),
  )
  const swap = (gone: string | null, come: string | null): void => {
    if (gone !== null && !leads.delete(gone)) throw new Error(`no lead ${gone}`)
    if (come !== null) leads.add(come)
  }
  for (const change of changes) {
    const { color, number } = change
    if (change.is === 'moved')
      swap(lead(color, number, change.stays, change.off), lead(color, number, change.stays, change.onto))
    else {
      const ends = [change.from, change.to] as const
      if (change.is === 'new') swap(null, lead(color, number, ...ends))
      if (change.is === 'taken-out') swap(lead(color, number, ...ends), null)
      if (change.is === 'relabelled') {
        const [wasColor, wasNumber] = change.was.split(' ')
        swap(lead(wasColor, wasNumber, ...ends), lead(color, number, ...ends))
      }
    }
  }
  return [...leads].sort()
}

test('a lead list carried out makes the other circuit of the one, whatever was moved', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...builtInUnitIds),
      fc.array(fc.tuple(fc.nat(), fc.nat()), { minLength: 1, maxLength: 4 }),
      (id, moves) => {
        let now = builtInUnitText(id)
        for (const [wireAt, pointAt] of moves) {
          const diagram = readLadder(now)
          const wires = [...diagram.wires.values()]
          const points = [...diagram.points.keys()]
          const edit = landElsewhere(
            now,
            diagram,
            wires[wireAt % wires.length],
            points[pointAt % points.length],
          )
          if (edit.is === 'text' && readableLadder(edit.text)) now = edit.text
        }
        const [from, to] = [builtInUnit(id), readLadder(now)]
        expect(carriedOut(from, leadList(from, to))).toEqual(carriedOut(to, []))
        expect(leadList(to, to)).toEqual([])
      },
    ),
    { numRuns: 60 },
  )
})
