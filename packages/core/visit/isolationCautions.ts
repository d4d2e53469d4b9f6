import type { Diagram } from '../diagram/diagram'
import { highestVolts } from '../diagram/highestVolts'

/** From so many volts between two legs an arc keeps burning: a danger of its own. */
const arcFromVolts = 250

/** What is said where hands go, fitted to the unit: nothing of volts that it has not. */
export function isolationCautions(diagram: Diagram): readonly string[] {
  const most = highestVolts(diagram)
  const hasBar = [...diagram.parts.values()].some(
    ({ kind, settings }) => kind.settings.bars !== undefined && settings.list('bars').length > 0,
  )
  return [
    ...(most > arcFromVolts ? [`${most} V and arc flash belong to qualified people.`] : []),
    'One hand, eye protection, rated gloves and leads.',
    ...(hasBar ? ['A contactor with a bar leaves that leg live at its load.'] : []),
  ]
}
