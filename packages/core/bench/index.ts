import { capacitor } from './capacitor'
import { changeover } from './changeover'
import { coilOhms } from './coilOhms'
import { coilVolts } from './coilVolts'
import { damperCommand } from './damperCommand'
import { fuse } from './fuse'
import { evacuation } from './evacuation'
import { heaterSinglePhase, heaterThreePhase } from './heaterAmps'
import { hardStart } from './hardStart'
import { heatRise } from './heatRise'
import { insulation } from './insulation'
import { mixedAir } from './mixedAir'
import { modeAmps } from './modeAmps'
import { monitorSetting } from './monitorSetting'
import { motorAmps } from './motorAmps'
import { nodeAmps } from './nodeAmps'
import { poleDrop } from './poleDrop'
import { poleVolts } from './poleVolts'
import { relayContacts } from './relayContacts'
import { sensor } from './sensor'
import { subcooling } from './subcooling'
import { superheat } from './superheat'
import { supplySystem } from './supplySystem'
import type { BenchTool } from './tool'
import { transformerLoad } from './transformerLoad'
import { transformerPhasing } from './transformerPhasing'
import { transformerTap } from './transformerTap'
import { turnLeads } from './turnLeads'
import { unbalance } from './unbalance'
import { windingOhms } from './windingOhms'

/** Every tool of the bench, in the order that they are shown. */
export const benchTools: readonly BenchTool[] = [
  transformerTap,
  transformerLoad,
  transformerPhasing,
  fuse,
  modeAmps,
  coilVolts,
  coilOhms,
  poleVolts,
  poleDrop,
  relayContacts,
  supplySystem,
  unbalance,
  turnLeads,
  monitorSetting,
  motorAmps,
  windingOhms,
  capacitor,
  hardStart,
  insulation,
  heaterSinglePhase,
  heaterThreePhase,
  nodeAmps,
  heatRise,
  mixedAir,
  damperCommand,
  sensor,
  changeover,
  superheat,
  subcooling,
  evacuation,
]

export const benchToolOf = (id: string): BenchTool | undefined => benchTools.find((tool) => tool.id === id)
