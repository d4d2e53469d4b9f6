import { airFilter } from './airFilter'
import { airflowSwitch } from './airflowSwitch'
import { automaticLimit } from './automaticLimit'
import { belt } from './belt'
import { breaker } from './breaker'
import { buildingRelay } from './buildingRelay'
import { burnerControl } from './burnerControl'
import { capacitor } from './capacitor'
import { capacitorFan } from './capacitorFan'
import { changeoverSensor } from './changeoverSensor'
import { chargeSwitch } from './chargeSwitch'
import { chassis } from './chassis'
import { contactor } from './contactor'
import { crankcaseHeater } from './crankcaseHeater'
import { damperActuator } from './damperActuator'
import { defrostControl } from './defrostControl'
import { defrostThermostat } from './defrostThermostat'
import { disconnect } from './disconnect'
import { doorSwitch } from './doorSwitch'
import { draftSwitch } from './draftSwitch'
import { drain } from './drain'
import { drive } from './drive'
import { economizer } from './economizer'
import { electronicFan } from './electronicFan'
import { enthalpyEconomizer } from './enthalpyEconomizer'
import { flameRod } from './flameRod'
import { floatSwitch } from './floatSwitch'
import { freezeSwitch } from './freezeSwitch'
import { fuse } from './fuse'
import { gasValve } from './gasValve'
import { heater } from './heater'
import { heaterBank } from './heaterBank'
import { highFireValve } from './highFireValve'
import { highPressureSwitch } from './highPressureSwitch'
import { humidistat } from './humidistat'
import { humiditySensor } from './humiditySensor'
import { igniter } from './igniter'
import { ignitionControl } from './ignitionControl'
import { jumper } from './jumper'
import { lamp } from './lamp'
import { lineLoadMonitor } from './lineLoadMonitor'
import { lockout } from './lockout'
import { lowPressureSwitch } from './lowPressureSwitch'
import { manualLimit } from './manualLimit'
import { motorOverload } from './motorOverload'
import { modulatingValve } from './modulatingValve'
import { outdoorCoil } from './outdoorCoil'
import { outdoorThermostat } from './outdoorThermostat'
import { phaseMonitor } from './phaseMonitor'
import { plug } from './plug'
import { provingBoard } from './provingBoard'
import { refrigerantCircuit } from './refrigerantCircuit'
import { reheatValve } from './reheatValve'
import { relay } from './relay'
import { reversingValve } from './reversingValve'
import { rollout } from './rollout'
import { sequencer } from './sequencer'
import { singlePhaseCompressor } from './singlePhaseCompressor'
import { smokeDetector } from './smokeDetector'
import { speedSwitch } from './speedSwitch'
import { supply } from './supply'
import { defrostSensor, temperatureSensor } from './temperatureSensor'
import { terminalBoard } from './terminalBoard'
import { thermostat } from './thermostat'
import { threePhaseCompressor } from './threePhaseCompressor'
import { threePhaseFan } from './threePhaseFan'
import { threeSpeedFan } from './threeSpeedFan'
import { transformer } from './transformer'
import { waterValve } from './waterValve'
import type { PartKind } from './kind'

/** Every kind of part a diagram may name. */
export const partKinds: ReadonlyMap<string, PartKind> = new Map(
  [
    airFilter,
    automaticLimit,
    belt,
    breaker,
    buildingRelay,
    burnerControl,
    capacitor,
    capacitorFan,
    changeoverSensor,
    chargeSwitch,
    chassis,
    contactor,
    crankcaseHeater,
    damperActuator,
    defrostControl,
    defrostThermostat,
    disconnect,
    doorSwitch,
    airflowSwitch,
    draftSwitch,
    drain,
    drive,
    economizer,
    electronicFan,
    enthalpyEconomizer,
    flameRod,
    floatSwitch,
    freezeSwitch,
    fuse,
    gasValve,
    heater,
    heaterBank,
    highFireValve,
    highPressureSwitch,
    humidistat,
    humiditySensor,
    igniter,
    ignitionControl,
    jumper,
    lamp,
    lineLoadMonitor,
    lockout,
    lowPressureSwitch,
    manualLimit,
    motorOverload,
    outdoorCoil,
    outdoorThermostat,
    phaseMonitor,
    plug,
    provingBoard,
    refrigerantCircuit,
    reheatValve,
    relay,
    reversingValve,
    rollout,
    sequencer,
    singlePhaseCompressor,
    smokeDetector,
    speedSwitch,
    supply,
    temperatureSensor,
    defrostSensor,
    terminalBoard,
    thermostat,
    threePhaseCompressor,
    threePhaseFan,
    threeSpeedFan,
    transformer,
    modulatingValve,
    waterValve,
  ].map((kind) => [kind.kind, kind]),
)
