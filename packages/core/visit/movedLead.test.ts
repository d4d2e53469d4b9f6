import { judge } from '../diagnosis/diagnose'
import { faultsOf } from '../diagram/faults'
import { leadList, leadWords } from '../changes/leadChange'
import { readLadder } from '../diagram/readLadder'
import { builtInUnit, builtInUnitIds, builtInUnitText } from '../units/index'
import { asLeft } from './asLeft'
import type { EntryBody } from './entry'
import { entryProblem } from './checkEntry'
import { endThatStays, faultOfLanding, movedLead, wireBetween } from './movedLead'
import { signOffProblems } from './signOff'
import { unsafeFindings, type Alteration } from './temporary'
import { logOf } from './testLog'
import { foldVisit } from './visitState'

const diagram = builtInUnit('rooftop-two-stage')
const landing = faultsOf(diagram).find(({ id }) => id === 'TS.Y1-TB.Y1:on:TB.Y2')
if (!landing?.landedOn) throw new Error('the lead of the first stage may be on the second')
const { of, landedOn } = landing
const found: EntryBody & { kind: 'alteration' } = {
  kind: 'alteration',
  what: 'moved',
  of,
  to: landedOn,
  hazard: 'Does not do what its drawing says',
}
const putBack: EntryBody = { kind: 'alteration-settled', entry: '1', of, to: landedOn, as: 'corrected' }

test('a lead found on another terminal is solved there, and leads where it explains the complaint', () => {
  const { findings, model, ranked } = judge(diagram, {
    complaint: 'not-cooling',
    entries: [found],
  })
  expect(findings.now.actions).toMatchObject([{ verb: 'found', of, to: landedOn }])
  expect(model.hypotheses[ranked[0]].id).toBe(landing.id)
})

test('put back, it is where it is drawn again, the fault is gone, and only a proof after it counts', () => {
  const proof: EntryBody = { kind: 'proof', call: 'cool1', words: '15.5 A', passed: true }
  const problems = (...after: readonly EntryBody[]): string => {
    const log = logOf([{ kind: 'complaint', complaint: 'not-cooling' }, found, ...after])
    return signOffProblems(foldVisit(log, diagram), diagram).join('; ')
  }
  expect(problems(proof)).toMatch(/found altered/)
  expect(problems(proof, putBack)).toMatch(/not proven/)
  expect(problems(putBack, proof)).toBe('')
  const { findings } = judge(diagram, { complaint: 'not-cooling', entries: [found, putBack] })
  expect(findings.now.actions).toEqual([])
  expect(findings.repaired).toEqual([landing.id])
})

test('a switch found in a lead leads where it explains the complaint, until it is put right', () => {
  const lead = 'PL.1A-TB.Y1'
  const added: EntryBody = { kind: 'alteration', what: 'added', of: lead, hazard: 'Not on its drawing' }
  const settled: EntryBody = { kind: 'alteration-settled', entry: '1', of: lead, as: 'corrected' }
  expect(entryProblem(diagram, added)).toBe('')
  expect(entryProblem(diagram, { ...added, of: 'PL.1A' })).toMatch(/PL\.1A/)
  const { model, ranked, belief } = judge(diagram, { complaint: 'not-cooling', entries: [added] })
  expect(model.hypotheses[ranked[0]].id).toBe('TB.Y1-PL.1A:added')
  // a switch that is closed is no cause: what reads right behind it says so
  const live: EntryBody = { kind: 'reading', meter: 'volts', from: 'PL.1B', to: 'TB.C', value: 26 }
  const closed = judge(diagram, { complaint: 'not-cooling', entries: [added, live, live] })
  expect(closed.belief.probability[ranked[0]]).toBeLessThan(0.5 * belief.probability[ranked[0]])
  const { findings } = judge(diagram, { complaint: 'not-cooling', entries: [added, settled] })
  expect(findings.repaired).toEqual(['TB.Y1-PL.1A:added'])
})

test('a lead moved past a safety control makes the visit unsafe, wherever it stays', () => {
  const switched = [...diagram.wires.values()].find(({ from, to }) => [from, to].includes('HPS1.1'))
  if (!switched) throw new Error('a wire leads to the high-pressure switch')
  const past: EntryBody = { kind: 'alteration', what: 'moved', of: switched.id, to: 'HPS1.2', hazard: 'x' }
  expect(endThatStays(diagram, switched.id, 'HPS1.2')).not.toBe('HPS1.1')
  expect(unsafeFindings(diagram, logOf([past]))).toHaveLength(1)
  expect(unsafeFindings(diagram, logOf([found]))).toEqual([])
})

test('what is meant so is drawn into the circuit; what passes by a safety control never is', () => {
  const text = builtInUnitText('rooftop-two-stage')
  const accepted = (body: EntryBody & { kind: 'alteration' }): Alteration => ({
    entry: logOf([body])[0],
    body,
    settled: { kind: 'alteration-settled', entry: '0', of: body.of, as: 'accepted' },
  })
  const past: EntryBody & { kind: 'alteration' } = {
    kind: 'alteration',
    what: 'joined',
    of: 'HPS1.1',
    to: 'HPS1.2',
    hazard: 'x',
  }
  const joined: EntryBody & { kind: 'alteration' } = { ...past, of: 'TB.Y1', to: 'TB.Y2' }
  const { text: drawn, notDrawn } = asLeft(text, [accepted(found), accepted(past), accepted(joined)])
  expect(leadList(diagram, readLadder(drawn)).map(leadWords)).toEqual([
    'Move yellow Y1, which stays on TS.Y1: off TB.Y1, onto TB.Y2',
    'Run a new lead jumper J from TB.Y1 to TB.Y2',
  ])
  expect(notDrawn).toEqual(['HPS1.1 to HPS1.2 found joined'])
  // drawn once, it is there: nothing is left to draw of the lead, and nothing breaks
  expect(asLeft(drawn, [accepted(found)])).toEqual({
    text: drawn,
    notDrawn: [`Lead ${of} found on ${landedOn}`],
  })
  // what is not meant so is put right at the unit, not in its drawing
  expect(asLeft(text, [{ ...accepted(found), settled: null }]).text).toBe(text)
})

test('what is not on the unit is named; a lead may be said either way round', () => {
  const turned = of.split('-').reverse().join('-')
  expect(movedLead(diagram, turned, landedOn)).toEqual(movedLead(diagram, of, landedOn))
  expect(faultOfLanding(diagram, turned, landedOn)?.id).toBe(landing.id)
  expect(entryProblem(diagram, found)).toBe('')
  expect(entryProblem(diagram, { ...found, of: 'TB.Q-TS.Q' })).toMatch(/TB\.Q-TS\.Q/)
  expect(entryProblem(diagram, { ...found, to: 'TB.Q' })).toMatch(/TB\.Q/)
})

test.each(builtInUnitIds)(
  '%s: a lead is known by its ends either way round, signs in their names too',
  (id) => {
    const unit = builtInUnit(id)
    for (const wire of unit.wires.values()) expect(wireBetween(unit, `${wire.to}-${wire.from}`)).toBe(wire)
  },
)
