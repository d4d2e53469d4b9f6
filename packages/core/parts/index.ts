import { breaker } from './breaker'
import { capacitor } from './capacitor'
import { chassis } from './chassis'
import { contactor } from './contactor'
import { damperActuator } from './damperActuator'
import { disconnect } from './disconnect'
import { doorSwitch } from './doorSwitch'
import { draftSwitch } from './draftSwitch'
import { economizer, enthalpyEconomizer } from './economizer'
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
  automaticLimit, chargeSwitch, freezeSwitch, highPressureSwitch, lowPressureSwitch, manualLimit, motorOverload, rollout,
} from './protectiveSwitch'
import { relay } from './relay'
import { buildingRelay } from './buildingRelay'
import { changeoverSensor } from './changeoverSensor'
import { defrostControl } from './defrostControl'
import { drive } from './drive'
import { electronicFan } from './electronicFan'
import { floatSwitch } from './floatSwitch'
import { heaterBank } from './heaterBank'
import { humiditySensor } from './humiditySensor'
import { lineLoadMonitor } from './lineLoadMonitor'
import { provingBoard } from './provingBoard'
import { sequencer } from './sequencer'
import { smokeDetector } from './smokeDetector'
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
  disconnect, doorSwitch, draftSwitch, economizer, enthalpyEconomizer, floatSwitch, freezeSwitch, fuse, gasValve, heater, highPressureSwitch,
  ignitionControl, jumper, lamp, lockout, lowPressureSwitch, manualLimit, motorOverload, phaseMonitor, plug, relay,
  buildingRelay, changeoverSensor, defrostControl, drive, electronicFan, heaterBank, humiditySensor, lineLoadMonitor,
  provingBoard, sequencer, smokeDetector, reversingValve, rollout, singlePhaseCompressor, supply, temperatureSensor, terminalBoard, thermostat,
  threePhaseCompressor, threePhaseFan, transformer, waterValve,
].map((kind) => [kind.kind, kind]))
