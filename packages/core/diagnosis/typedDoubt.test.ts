import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { oneOf, seeded } from '../world/random'
import { isolatedCandidates, liveCandidates } from './candidates'
import { judge } from './diagnose'
import { doubtAbout } from './typedDoubt'
import { wronglyDoubted } from './wronglyDoubted'

const seed = 711
const places = 12

// every place of every unit in every call: npm run doubts
test.each(['fan-coil-two-pipe', 'package-proving', 'air-handler-drive-running'])(
  '%s: what some fault gives, of any of its ohms, is never answered with “no state gives that”',
  (id) => {
    const diagram = builtInUnit(id)
    const random = seeded(seed)
    for (const power of ['on', 'isolated'] as const) {
      const candidates = power === 'on' ? liveCandidates(diagram) : isolatedCandidates(diagram)
      const entries: readonly EntryBody[] = [
        { kind: 'call', call: oneOf(random, diagram.calls).id },
        { kind: 'power', is: power },
      ]
      const judgement = judge(diagram, { complaint: '', entries })
      for (let k = 0; k < places; k++) {
        const { meter, from, to } = oneOf(random, candidates)
        expect({ meter, from, to, doubted: wronglyDoubted(judgement, meter, from, to) }).toMatchObject({
          doubted: [],
        })
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
