import { complex, impedanceForVoltAmperes } from '../electric/complex'
import { impedance, rectified } from '../electric/law'
import { contact, fixed, position } from './contact'
import { opens, sticks } from './fault'
import type { PartKind, Wants } from './kind'

const calledAboveVolts = 14

/**
 * A board that proves the contactor's circuit before it calls: its loop `P1`–`P2` runs through the
 * contactor's plug;
 * open, the stage is locked out. The call goes out at `K`.
 */
export const provingBoard: PartKind = {
  kind: 'proving-board',
  words: 'proving board',
  cause: 'board',
  symbol: 'control',
  givenUp: {
    without: ['K'],
    words: 'the proof of the contactor’s circuit, and the 180 s between two starts: keep them yourself',
  },
  passesOn: [['Y', 'K']],
  settings: {},
  terminals: () => [
    { name: 'R', words: 'control power' },
    { name: 'C', words: 'common' },
    { name: 'Y', words: 'compressor call' },
    { name: 'P1', words: 'proving loop, out' },
    { name: 'P2', words: 'proving loop, back' },
    { name: 'K', words: 'to the safety string and contactor' },
  ],
  branches: () => [
    fixed('electronics', 'R', 'C', 'load', impedance(impedanceForVoltAmperes(24, 3, 0.7), rectified)),
    fixed('call', 'Y', 'C', 'load', impedance(complex(2200), 2200)),
    fixed('loopFeed', 'R', 'P1', 'conductor', impedance(complex(470), 470)),
    fixed('loop', 'P2', 'C', 'load', impedance(complex(3300), 3300)),
    contact('output', 'Y', 'K', 'open', 0.03),
  ],
  senses: () => ({
    volts: ['electronics', 'call', 'loop'],
    steps: { electronics: [calledAboveVolts], call: [calledAboveVolts], loop: [calledAboveVolts] },
  }),
  behave: (now): Wants => ({
    output: position(
      [now.volts.electronics, now.volts.call, now.volts.loop].every(
        (volts) => volts.size >= calledAboveVolts,
      ),
    ),
  }),
  delays: () => [{ branch: 'output', to: 'closed', seconds: 180 }],
  faults: () => [
    opens('electronics', 'proving board dead', 0.8),
    opens('output', 'proving board does not pass the call', 1.2),
    opens('loop', 'proving board’s loop input dead', 0.8),
    sticks('output-stuck', ['output'], 'closed', 'proving board’s output stuck closed', 0.3),
  ],
  looks: (now) => [now.volts.electronics.size < calledAboveVolts ? 'lamp-off' : 'lamp-on'],
  code: (now) =>
    now.volts.electronics.size < calledAboveVolts
      ? 'dark'
      : now.volts.loop.size < calledAboveVolts
        ? '3 flashes'
        : 'steady',
}
