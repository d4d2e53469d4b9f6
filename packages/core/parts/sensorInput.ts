import { complex } from '../electric/complex'
import { directSource, impedance } from '../electric/law'
import { sensorFeed } from '../physics/sensorFeed'
import { fixed } from './contact'
import type { Branch } from './kind'

/** An input of a control for a thermistor at `AT+` and `AT-`: it feeds it through a resistor, and reads what is left. */
export const sensorInput = (name: string, at: string): readonly Branch[] => [
  fixed(`${name}Input`, `${at}+`, `${at}-`, 'output', directSource(sensorFeed.volts, sensorFeed.ohms)),
  fixed(`${name}Reference`, `${at}-`, 'C', 'conductor', impedance(complex(10), 10)),
]
