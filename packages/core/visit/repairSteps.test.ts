import { judge } from '../diagnosis/diagnose'
import { builtInUnit } from '../units/index'
import type { EntryBody } from './entry'
import { openCauses, repairOf } from './openCauses'
import { repairPlan, repairSteps } from './repairSteps'
import { reportOf } from './report'
import type { ReportAbout } from './reportHead'
import { signOffProblems } from './signOff'
import { logOf } from './testLog'
import { foldVisit, type VisitState } from './visitState'

const diagram = builtInUnit('rooftop-two-stage')
const complaint: EntryBody = { kind: 'complaint', complaint: 'not-cooling' }
const cause: EntryBody = {
  kind: 'cause',
  of: 'CC1',
  words: 'Compressor contactor 1: coil open',
  fault: 'CC1:coil-open',
  reasoning: { chance: 0.93, shownBy: ['25 V at CC1.A1'], rivals: [], program: 'entry-1' },
}
const about: ReportAbout = {
  shop: 'Gannet Controls',
  unit: { label: 'RTU-3', place: 'Roof', make: '', serial: '', installed: '' },
  site: { name: 'Gannet Hall', address: '' },
  people: new Map(),
  utcOffsetMinutes: 0,
}
const lead = { of: 'CC1', color: 'yellow', number: '84' }
const fold = (...bodies: readonly EntryBody[]): VisitState =>
  foldVisit(logOf([complaint, ...bodies]), diagram)
/** A section of the report. */
const lines = (state: VisitState, title: string) =>
  reportOf(state, diagram, about).sections.find((section) => section.title === title)?.lines ?? []

/** The steps taken of the repair of what was taken for the cause first. */
const steps = (...bodies: readonly EntryBody[]): string => {
  const state = fold(...bodies)
  return [...repairSteps(state, state.causes[0])].join(' ')
}

test('“this is it” repairs nothing: it is open until somebody says what was done to it', () => {
  expect(openCauses(fold(cause))).toHaveLength(1)
  expect(signOffProblems(fold(cause), diagram).join()).toMatch(
    /coil open: taken for the cause, and nothing says that it was repaired/,
  )
  const repair = repairOf(fold(cause), 'CC1')
  expect(repair).toEqual({
    kind: 'repair',
    of: 'CC1',
    words: 'Compressor contactor 1: coil open',
    fault: 'CC1:coil-open',
  })
  expect(openCauses(fold(cause, repair))).toEqual([])
  // taken for the cause once more, it was not repaired well
  expect(openCauses(fold(cause, repair, cause))).toHaveLength(1)
})

test('the steps of a repair are known from what was said, each by itself', () => {
  expect(steps(cause)).toBe('')
  expect(steps(cause, { kind: 'power', is: 'isolated' })).toBe('isolated')
  const noted: EntryBody = { kind: 'lead-found', terminal: 'CC1.A1', ...lead }
  expect(steps(cause, noted)).toBe('leads-noted')
  expect(steps(cause, noted, { kind: 'lead-landed', terminal: 'CC1.A1', ...lead })).toBe(
    'leads-noted leads-back',
  )
  const done: EntryBody = { kind: 'repair', of: 'CC1' }
  const off: EntryBody = { kind: 'power', is: 'isolated' }
  expect(steps(cause, off, done)).toBe('isolated repaired')
  expect(steps(cause, done)).toBe('repaired power-on')
  expect(steps(cause, done, { kind: 'proof', call: 'cool1', words: '', passed: true })).toBe(
    'repaired power-on proven',
  )
  // what was proven before says nothing of it
  expect(steps({ kind: 'proof', call: 'cool1', words: '', passed: true }, cause, done)).toBe(
    'repaired power-on',
  )
})

test('what only opened is no part to renew: what opened it is found, and no lead comes off', () => {
  const of = (fault: string) => ({ kind: 'cause', of: fault.split(':')[0], fault }) as const
  expect(repairPlan(diagram, of('LPS1:tripped')).steps).toEqual(['repaired', 'power-on', 'proven'])
  expect(repairPlan(diagram, of('LPS1:tripped')).repaired).toMatch(/What tripped it/)
  expect(repairPlan(diagram, of('LPS1:contact-open')).steps).toContain('leads-noted')
  expect(repairPlan(diagram, of('BELT:off')).steps).toEqual(['isolated', 'repaired', 'power-on', 'proven'])
  expect(repairPlan(diagram, of('TS:set-heat')).steps).not.toContain('isolated')
  // a part of which nobody said what is wrong with it
  expect(repairPlan(diagram, { kind: 'cause', of: 'CC1' }).steps).toContain('leads-back')
})

test('a visit is not signed off while nobody has said what tripped what had only opened', () => {
  const tripped = { of: 'LPS1', words: 'Low-pressure switch 1: open on low pressure', fault: 'LPS1:tripped' }
  const problems = (...said: readonly EntryBody[]): string =>
    signOffProblems(fold({ kind: 'cause', ...tripped }, ...said), diagram).join()
  expect(problems({ kind: 'repair', ...tripped })).toMatch(/it tripped for a reason/)
  expect(problems({ kind: 'repair', ...tripped, trippedBy: '' })).toMatch(/it tripped for a reason/)
  const found = { kind: 'repair', ...tripped, trippedBy: 'a service valve left closed' } as const
  expect(problems(found)).not.toMatch(/it tripped for a reason/)
  const [line] = lines(fold({ kind: 'cause', ...tripped }, found), 'Repair')
  expect(line.small).toBe('it had been tripped by: a service valve left closed')
  // of what is broken the part itself is the reason
  expect(signOffProblems(fold(cause, { kind: 'repair', of: 'CC1' }), diagram).join()).not.toMatch(/reason/)
})

test('ohms that prove the cause before it is renewed speak of the cause, and after it of what is new', () => {
  const open: readonly EntryBody[] = [
    { kind: 'call', call: 'cool1' },
    { kind: 'reading', meter: 'volts', from: 'CC1.A1', to: 'CC1.A2', value: 25 },
    { kind: 'observation', of: 'CC1', what: 'dropped-out' },
    cause,
    { kind: 'power', is: 'isolated' },
    { kind: 'reading', meter: 'ohms', from: 'CC1.A1', to: 'CC1.A2', value: null },
  ]
  const chance = (entries: readonly EntryBody[]): number => {
    const { model, belief } = judge(diagram, { complaint: 'not-cooling', entries })
    return belief.probability[model.hypotheses.findIndex(({ id }) => id === 'CC1:coil-open')]
  }
  expect(chance(open.slice(0, -1))).toBeLessThan(chance(open))
  expect(chance(open)).toBeGreaterThan(0.9)
  expect(chance([...open, { kind: 'repair', of: 'CC1' }])).toBeLessThan(0.1)
})

test('the report has the cause with its reasoning, and says what was not repaired', () => {
  const [line] = lines(fold(cause), 'Cause')
  expect([line.right, line.small]).toEqual(['93 %', 'shown by 25 V at CC1.A1'])
  expect(lines(fold(cause), 'Repair').map(({ right }) => right)).toEqual(['not repaired on this visit'])
  const repaired = fold(cause, { kind: 'repair', of: 'CC1' })
  expect(lines(repaired, 'Repair').map(({ right }) => right)).toEqual(['repaired'])
  // it is named once, though it was taken for the cause and repaired
  expect(lines(repaired, 'Cause')).toHaveLength(1)
})

test('a fuse that blew is no cause beside the short that blew it: the report has it renewed', () => {
  const blown: EntryBody = { kind: 'observation', what: 'blown', of: 'FU' }
  const state = fold(blown, cause, { kind: 'repair', of: 'CC1' }, { kind: 'repair', of: 'FU' })
  const linesOf = (title: string) => lines(state, title).map(({ left, right }) => `${left}: ${right}`)
  expect(linesOf('Cause').join()).not.toMatch(/fuse/)
  expect(linesOf('Repair')).toEqual(['Compressor contactor 1: repaired', 'Control fuse: renewed'])
})
