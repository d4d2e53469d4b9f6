import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { judge } from './diagnose'

const seen = (of: string, what: string): EntryBody => ({ kind: 'observation', of, what })

test.each(['dropped-out', 'pulled-in'])(
  'a blower that runs with no call to its relay: the contact is welded, though the armature looks %s',
  (what) => {
    const { model, belief, ranked } = judge(builtInUnit('package-heat-pump'), {
      complaint: 'will-not-stop',
      entries: [
        { kind: 'call', call: 'off' },
        seen('IFM', 'turning'),
        volts('GR.A1', 0, 'GR.A2'),
        seen('GR', what),
      ],
    })
    expect(model.hypotheses[ranked[0]].id).toBe('GR:made1-welded')
    expect(belief.probability[ranked[0]]).toBeGreaterThan(0.7)
  },
)
