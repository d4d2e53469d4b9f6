import { cycleAtFirst } from './comesAndGoes'
import { Factors } from './factors'
import type { Track } from './tracks'

/** For tests: a track of which nothing has been learned yet, but for this. */
export const trackWith = (known: Partial<Track>): Track => ({
  logWeight: 0,
  factors: new Factors(),
  where: null,
  blown: 'not',
  opens: [],
  present: null,
  cycle: cycleAtFirst,
  startsOver: null,
  keeps: 0.9,
  stays: 0.9,
  late: false,
  around: null,
  ...known,
})
