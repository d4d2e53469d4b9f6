import type { Symptom } from '@jokulgale/core/diagram/diagram'
import type { Random } from '@jokulgale/core/world/random'
import type { World } from '@jokulgale/core/world/world'

/** What is said of a unit in which something does not run that should. */
const ofLack: ReadonlySet<Symptom> = new Set(['no-cooling', 'no-heat', 'weak-heat', 'no-air'])

/**
 * A true complaint about a call that fails, chosen without asking the diagnosis what it thinks a symptom
 * is; '': none fits.
 */
export function complaintIn(world: World, random: Random): string {
  const failing = world.failing()
  const fitting = world.diagram.complaints.filter(({ call, calls, means }) => {
    if (world.comesAndGoes)
      return means === 'comes-and-goes' && failing.some((one) => calls.includes(one.call))
    const own = failing.find((one) => one.call === call)
    if (means === 'no-second-stage')
      return own?.lacks === true && !failing.some((one) => one.call !== call && calls.includes(one.call))
    return (own?.lacks === true && ofLack.has(means)) || (own?.runsOn === true && means === 'runs-on')
  })
  const chosen = fitting[Math.floor(random() * fitting.length)]
  return chosen?.id ?? ''
}
