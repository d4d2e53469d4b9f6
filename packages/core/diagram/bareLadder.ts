/** What is known of a unit before its first lead is traced. */
export interface BareUnit {
  readonly title: string
  readonly unitClass: string
  readonly supply: BareSupply
  /** Stages of cooling. */
  readonly stages: 0 | 1 | 2
  readonly heat: BareHeat
  readonly control: BareControl
}

/** What its controls work at: 24 V of a transformer, or the leg itself with its neutral. */
export type BareControl = (typeof bareControls)[number]['id']

export const bareControls = [
  { id: 'transformer', words: '24 V, from a transformer' },
  { id: 'line', words: 'line voltage' },
] as const

/** A thermostat at line voltage is met where one leg and the neutral are brought in. */
export const mayControlByLine = ({ legs }: BareSupply): boolean => legs === 1

/**
 * A supply that a unit may be found on: the system, the legs brought in, with the neutral beside a single one, and
 * the primary tap that fits.
 */
export interface BareSupply {
  readonly id: string
  readonly words: string
  readonly system: string
  readonly legs: 1 | 2 | 3
  /** Also the volts of the leg, where there is one. */
  readonly tap: number
}

export const bareSupplies: readonly BareSupply[] = [
  { id: '240-single', words: '120/240 V, single phase', system: '120/240', legs: 2, tap: 240 },
  { id: '208-single', words: '208 V, single phase', system: '208Y/120 one leg pair', legs: 2, tap: 208 },
  { id: '120-one', words: '120 V, one leg and neutral', system: '120 one leg', legs: 1, tap: 120 },
  { id: '277-one', words: '277 V, one leg and neutral', system: '277 one leg', legs: 1, tap: 277 },
  { id: '208-three', words: '208 V, three phase', system: '208Y/120', legs: 3, tap: 208 },
  { id: '240-delta', words: '240 V, three phase, plain delta', system: '240 delta', legs: 3, tap: 240 },
  { id: '240-three', words: '240 V, three phase, high leg', system: '240 high leg', legs: 3, tap: 240 },
  { id: '480-three', words: '480 V, three phase', system: '480Y/277', legs: 3, tap: 480 },
]

/** A way of heating: what the thermostat has for it, and how it is set up. */
export interface BareHeat {
  readonly id: string
  readonly words: string
  readonly outputs: readonly string[]
  readonly system: 'conventional' | 'heat-pump'
  readonly heat: 'fuel' | 'electric'
}

export const bareHeats: readonly BareHeat[] = [
  { id: 'none', words: 'no heat', outputs: [], system: 'conventional', heat: 'fuel' },
  { id: 'gas', words: 'gas or oil', outputs: ['W1'], system: 'conventional', heat: 'fuel' },
  { id: 'electric', words: 'electric', outputs: ['W1'], system: 'conventional', heat: 'electric' },
  { id: 'heat-pump', words: 'heat pump', outputs: ['O', 'W1'], system: 'heat-pump', heat: 'electric' },
]

/** Classes of unit, as rates of causes are stated for them. */
export const bareClasses = [
  { id: 'fan-coil', words: 'fan coil' },
  { id: 'rooftop', words: 'rooftop unit' },
  { id: 'air-handler', words: 'air handler' },
  { id: 'heat-pump', words: 'heat pump' },
  { id: 'unit-heater', words: 'unit heater' },
  { id: 'terminal-box', words: 'terminal box' },
] as const

const legColors = ['black', 'red', 'blue'] as const
const neutralColor = 'white'
const controlColors: Readonly<Record<string, string>> = {
  R: 'red',
  C: 'blue',
  G: 'green',
  Y1: 'yellow',
  Y2: 'pink',
  O: 'orange',
  W1: 'white',
}

const coolingCalls = (stages: BareUnit['stages']): readonly string[] => {
  const first = `call cool1 "Cooling${stages === 2 ? ', first stage' : ''}" when outdoorDryBulb 88`
  return [first, 'call cool2 "Cooling, both stages" when outdoorDryBulb 92'].slice(0, stages)
}

/** How the controls of a unit are fed, as lines of its ladder text. */
interface Control {
  readonly common: string
  readonly hot: string
  /** Terminals of the strip that feed it. */
  readonly terminals: readonly string[]
  readonly parts: readonly string[]
  /** Settings of the thermostat. */
  readonly thermostat: string
  readonly rungs: readonly string[]
  /** A thermostat with a display that goes dark. */
  readonly hasDisplay: boolean
}

function byTransformer({ legs, tap }: BareSupply): Control {
  const tapColor = legs === 1 ? neutralColor : legColors[1]
  const back = legs === 1 ? 'N' : 'L2'
  return {
    common: 'TB.C',
    hot: 'TB.R',
    terminals: ['R', 'C'],
    parts: [`part XF transformer "Control transformer" in unit : va 40?, taps "${tap}"`],
    thermostat: '',
    rungs: [
      'rung "Transformer primary" line',
      `  LB.L1 -${legColors[0]} P1- XF.COM = XF.P${tap} -${tapColor} P2- LB.${back}`,
      'rung "Control power" control',
      '  XF.S1 -red R- TB.R',
      '  XF.S2 -blue C- TB.C -green G- G1.2',
      'rung "Thermostat" control',
      '  TB.R -red R- TS.R = TS.C -blue C- TB.C',
    ],
    hasDisplay: true,
  }
}

const byLine = ({ tap }: BareSupply): Control => ({
  common: 'TB.N',
  hot: 'TB.L',
  terminals: ['L', 'N'],
  parts: [],
  thermostat: `, volts ${tap}, power none`,
  rungs: [
    'rung "Control supply" line',
    `  LB.L1 -${legColors[0]} L- TB.L`,
    `  LB.N -${neutralColor} N- TB.N`,
    'rung "Thermostat" control',
    `  TB.L -${legColors[0]} L- TS.R`,
  ],
  hasDisplay: false,
})

/**
 * The ladder text of a unit that nobody has drawn yet: its supply, what feeds its controls, its terminal strip
 * and its thermostat, wired as they must be. Everything behind the strip and the disconnect is drawn lead by
 * lead.
 */
export function bareLadder({ title, unitClass, supply, stages, heat, control }: BareUnit): string {
  const { system, legs } = supply
  const { outputs: heatOutputs, system: setUpFor, heat: heatedBy } = heat
  const outputs = ['G', ...['Y1', 'Y2'].slice(0, stages), ...heatOutputs]
  const fed = control === 'line' && mayControlByLine(supply) ? byLine(supply) : byTransformer(supply)
  const terminals = [...fed.terminals, ...outputs]
  const lines = Array.from({ length: legs }, (_, k) => `L${k + 1}`)
  const cooling = ['cool1', 'cool2'].slice(0, stages)
  const heating = heatOutputs.length === 0 ? [] : ['heat1']
  const called = ['fan', ...cooling, ...heating].join(', ')
  return [
    `unit traced "${title.replaceAll('"', '’')}"`,
    `class ${unitClass}`,
    'isolate DS',
    `common ${fed.common}`,
    `hot ${fed.hot}`,
    'board TB',
    'plate TS',
    '',
    'call off "Off" when outdoorDryBulb 75',
    'call fan "Fan" when outdoorDryBulb 75',
    ...coolingCalls(stages),
    ...heating.map(() => 'call heat1 "Heating" when outdoorDryBulb 34'),
    '',
    ...(stages === 0
      ? []
      : [`complaint not-cooling "Not cooling" in ${cooling.join(', ')} means no-cooling`]),
    ...heating.map(() => 'complaint no-heat "No heat" in heat1 means no-heat'),
    `complaint no-air "No air" in ${called} means no-air`,
    'complaint will-not-stop "Never rests" in off means runs-on',
    ...(fed.hasDisplay ? [`complaint blank-thermostat "Thermostat blank" in ${called} means blank`] : []),
    `complaint breaker-goes "Breaker or fuse goes" in ${called}, off means trips`,
    `complaint comes-and-goes "Stops and comes back" in ${called} means comes-and-goes`,
    '',
    'zone hall "Thermostat" : reach 40',
    'zone panel "Building panel" : reach 120',
    'zone unit "At the unit" : reach 30',
    '',
    `part SV supply "Building supply" in panel : system "${system}"`,
    `part DS disconnect "Unit disconnect" in unit : poles ${legs}`,
    `part LB terminal-board "Line block" in unit : terminals "${(legs === 1 ? [...lines, 'N'] : lines).join(',')}"`,
    'part G1 chassis "Ground screw" in unit : screws "1,2"',
    ...fed.parts,
    `part TB terminal-board "Terminal strip" in unit : terminals "${terminals.join(',')}"`,
    `part TS thermostat "Thermostat" in hall : outputs "${outputs.join(',')}", system ${setUpFor}, heat ${heatedBy}, stages ${Math.max(stages, 1)}${fed.thermostat}`,
    '',
    'rung "Supply" line',
    ...lines.map(
      (leg, k) =>
        `  SV.${leg} -${legColors[k]} ${leg}- DS.${leg} = DS.T${k + 1} -${legColors[k]} ${leg}- LB.${leg}`,
    ),
    ...(legs === 1 ? [`  SV.N -${neutralColor} N- LB.N`] : []),
    '  SV.G -green G- G1.1',
    ...fed.rungs,
    ...outputs.map((output) => `  TS.${output} -${controlColors[output]} ${output}- TB.${output}`),
    `rung "${tracedRung.line}" line`,
    `rung "${tracedRung.control}" control`,
    '',
  ].join('\n')
}

/** Rungs that leads are drawn into as they are traced. */
export const tracedRung = { line: 'Traced, line voltage', control: 'Traced, control' } as const
