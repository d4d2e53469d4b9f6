import { addedFuse } from './addedFuse'
import type { BenchList } from './checkList'
import { driveBypass } from './driveBypass'
import { externalRelay } from './externalRelay'
import { monitorWiring } from './monitorWiring'
import { pipeChangeover } from './pipeChangeover'
import { sensorWiring } from './sensorWiring'
import { shortHunt } from './shortHunt'
import { smokeShutdown } from './smokeShutdown'
import { spareContactor } from './spareContactor'
import { thermostatCheck } from './thermostatCheck'
import { waterPath } from './waterPath'

/** Every list of the bench, in the order that they are shown. */
export const benchLists: readonly BenchList[] = [
  shortHunt,
  spareContactor,
  thermostatCheck,
  pipeChangeover,
  waterPath,
  smokeShutdown,
  sensorWiring,
  monitorWiring,
  addedFuse,
  driveBypass,
  externalRelay,
]

export const benchListOf = (id: string): BenchList | undefined => benchLists.find((list) => list.id === id)
