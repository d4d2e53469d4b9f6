import { breaker } from './breaker'
import { capacitor } from './capacitor'
import { chassis } from './chassis'
import { contactor } from './contactor'
import { damperActuator } from './damperActuator'
import { disconnect } from './disconnect'
import { doorSwitch } from './doorSwitch'
import { draftSwitch } from './draftSwitch'
import { economizer } from './economizer'
import { fuse } from './fuse'
import { crankcaseHeater, heater } from './heater'
import { ignitionControl } from './ignitionControl'
import { jumper } from './jumper'
import type { PartKind } from './kind'
import { lamp } from './lamp'
import { lockout } from './lockout'
import { phaseMonitor } from './phaseMonitor'
import { plug } from './plug'
import {
  automaticLimit, chargeSwitch, floatSwitch, freezeSwitch, highPressureSwitch, lowPressureSwitch, manualLimit, motorOverload, rollout,
} from './protectiveSwitch'
import { relay } from './relay'
import { capacitorFan, singlePhaseCompressor } from './singlePhaseMotor'
import { gasValve, reversingValve, waterValve } from './solenoid'
import { supply } from './supply'
import { temperatureSensor } from './temperatureSensor'
import { terminalBoard } from './terminalBoard'
import { thermostat } from './thermostat'
import { threePhaseCompressor, threePhaseFan } from './threePhaseMotor'
import { transformer } from './transformer'

/** Every kind of part a diagram may name. */
export const partKinds: ReadonlyMap<string, PartKind> = new Map([
  automaticLimit, breaker, capacitor, capacitorFan, chargeSwitch, chassis, contactor, crankcaseHeater, damperActuator,
  disconnect, doorSwitch, draftSwitch, economizer, floatSwitch, freezeSwitch, fuse, gasValve, heater, highPressureSwitch,
  ignitionControl, jumper, lamp, lockout, lowPressureSwitch, manualLimit, motorOverload, phaseMonitor, plug, relay,
  reversingValve, rollout, singlePhaseCompressor, supply, temperatureSensor, terminalBoard, thermostat,
  threePhaseCompressor, threePhaseFan, transformer, waterValve,
].map((kind) => [kind.kind, kind]))
