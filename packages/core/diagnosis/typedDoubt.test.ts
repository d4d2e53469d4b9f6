import { display, isDead } from '../circuit/meters'
import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { oneOf, seeded } from '../world/random'
import { isolatedCandidates, liveCandidates } from './candidates'
import { judge } from './diagnose'
import { readingOf } from './grouping'
import { situationIn } from './proposals'
import { doubtAbout } from './typedDoubt'

const seed = 711

/** A value as its display shows it, in the unit that it is kept in. */
function asShown(meter: Parameters<typeof display>[1], value: number | null): number | null {
  if (value === null) return null
  const [digits, prefix] = display(value, meter).split(' ')
  const scale = { k: 1e3, M: 1e6 }[(prefix ?? '').charAt(0)] ?? 1
  return Number(digits) * (meter === 'ohms' ? scale : 1)
}

test.each(['fan-coil-two-pipe', 'package-proving', 'air-handler-drive-running'])(
  '%s: what some fault gives, of any of its ohms, is never answered with “no state gives that”',
  (id) => {
    const diagram = builtInUnit(id)
    const random = seeded(seed)
    for (const power of ['on', 'isolated'] as const) {
      const candidates = power === 'on' ? liveCandidates(diagram) : isolatedCandidates(diagram)
      const call = oneOf(random, diagram.calls).id
      const entries: readonly EntryBody[] = [
        { kind: 'call', call },
        { kind: 'power', is: power },
      ]
      const judgement = judge(diagram, { complaint: '', entries })
      const { model, findings } = judgement
      const situation = situationIn(judgement, findings.now)
      for (let k = 0; k < 150; k++) {
        const { meter, from, to } = oneOf(random, candidates)
        const h = Math.floor(random() * model.singles)
        const ohms = oneOf(random, ['drawn', 'least', 'most', 'cold'] as const)
        // what breaks down does so at its volts: with those on it, it is of no more than a few ohms
        const version = model.version(h, ohms === 'cold' && !isDead(meter) ? 'most' : ohms, [])
        const value = asShown(meter, readingOf(situation.predict(meter, from, to, [version])[version]))
        const doubt = doubtAbout(judgement, meter, from, to, value)
        if (/^No state/.test(doubt))
          throw new Error(`${model.hypotheses[h].id} (${ohms}): ${value} ${meter} ${from} ${to} in ${call}`)
      }
    }
  },
)

test('what nothing gives is asked about once', () => {
  const judgement = judge(builtInUnit('fan-coil-two-pipe'), {
    complaint: '',
    entries: [{ kind: 'call', call: 'heat1' }],
  })
  expect(doubtAbout(judgement, 'volts', 'SW.L1', 'EARTH', 480)).toMatch(
    /^No state of this circuit gives that/,
  )
})
