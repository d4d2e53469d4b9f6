import { capacitor } from './capacitor'
import { changeover } from './changeover'
import { coilVolts } from './coilVolts'
import { fuse } from './fuse'
import { evacuation } from './evacuation'
import { heaterSinglePhase, heaterThreePhase } from './heaterAmps'
import { heatRise } from './heatRise'
import { insulation } from './insulation'
import { mixedAir } from './mixedAir'
import { modeAmps } from './modeAmps'
import { poleDrop } from './poleDrop'
import { sensor } from './sensor'
import { subcooling } from './subcooling'
import { superheat } from './superheat'
import type { BenchTool } from './tool'
import { transformerLoad } from './transformerLoad'
import { transformerTap } from './transformerTap'
import { turnLeads } from './turnLeads'
import { unbalance } from './unbalance'

/** Every tool of the bench, in the order that they are shown. */
export const benchTools: readonly BenchTool[] = [
  transformerTap,
  transformerLoad,
  fuse,
  modeAmps,
  coilVolts,
  poleDrop,
  unbalance,
  turnLeads,
  capacitor,
  insulation,
  heaterSinglePhase,
  heaterThreePhase,
  heatRise,
  mixedAir,
  sensor,
  changeover,
  superheat,
  subcooling,
  evacuation,
]

export const benchToolOf = (id: string): BenchTool | undefined => benchTools.find((tool) => tool.id === id)
