import type { EntryBody } from '../visit/entry'

const told: Readonly<Record<EntryBody['kind'], boolean>> = {
  call: true, power: true, condition: true, wait: true, reading: true, observation: true, action: true, setting: true, unreachable: true,
  'drop-out': true, alteration: true, 'alteration-settled': true, replaced: true, repair: true, proof: true, complaint: true,
  arrived: false, controls: false, 'pairing-step': false, pairing: false, placed: false, 'first-look': false, photo: false, note: false,
  support: false, retracted: false, isolation: false, temporary: false, 'temporary-left': false, 'temporary-removed': false, 'go-ahead': false,
  'lead-found': false, 'lead-landed': false, 'part-used': false, 'diagram-changed': false, restored: false, defect: false, 'defect-closed': false, 'sign-off': false,
}

/** Whether an entry changes what is known of the circuit: without the others the diagnosis is the same. */
export const tellsOfCircuit = ({ kind }: EntryBody): boolean => told[kind]
