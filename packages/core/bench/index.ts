import { capacitor } from './capacitor'
import { changeover } from './changeover'
import { coilOhms } from './coilOhms'
import { coilVolts } from './coilVolts'
import { damperCommand } from './damperCommand'
import { fuse } from './fuse'
import { evacuation } from './evacuation'
import { heaterSinglePhase, heaterThreePhase } from './heaterAmps'
import { heatStaging } from './heatStaging'
import { hardStart } from './hardStart'
import { heatRise } from './heatRise'
import { insulation } from './insulation'
import { lostLeg } from './lostLeg'
import { mixedAir } from './mixedAir'
import { modeAmps } from './modeAmps'
import { monitorSetting } from './monitorSetting'
import { motorAmps } from './motorAmps'
import { nodeAmps } from './nodeAmps'
import { poleDrop } from './poleDrop'
import { poleVolts } from './poleVolts'
import { relayContacts } from './relayContacts'
import { sensor } from './sensor'
import { sensorSignal } from './sensorSignal'
import { subcooling } from './subcooling'
import { superheat } from './superheat'
import { supplySystem } from './supplySystem'
import { temperatureSplit } from './temperatureSplit'
import type { BenchTool } from './tool'
import { transformerLoad } from './transformerLoad'
import { transformerPhasing } from './transformerPhasing'
import { transformerTap } from './transformerTap'
import { transformerWindings } from './transformerWindings'
import { turnLeads } from './turnLeads'
import { unbalance } from './unbalance'
import { windingOhms } from './windingOhms'
import { windingOhmsSingle } from './windingOhmsSingle'

/** Every tool of the bench, in the order that they are shown. */
export const benchTools: readonly BenchTool[] = [
  transformerTap,
  transformerLoad,
  transformerWindings,
  transformerPhasing,
  fuse,
  modeAmps,
  coilVolts,
  coilOhms,
  poleVolts,
  poleDrop,
  relayContacts,
  supplySystem,
  lostLeg,
  unbalance,
  turnLeads,
  monitorSetting,
  motorAmps,
  windingOhms,
  windingOhmsSingle,
  capacitor,
  hardStart,
  insulation,
  heaterSinglePhase,
  heaterThreePhase,
  nodeAmps,
  heatStaging,
  heatRise,
  mixedAir,
  damperCommand,
  sensor,
  sensorSignal,
  changeover,
  superheat,
  subcooling,
  temperatureSplit,
  evacuation,
]

export const benchToolOf = (id: string): BenchTool | undefined => benchTools.find((tool) => tool.id === id)
