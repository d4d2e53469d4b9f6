import { Circuit } from '../circuit/circuit'
import { situationOf } from '../circuit/situation'
import { faultsOf } from '../diagram/faults'
import { builtInUnit } from './index'

test.each(['air-handler-heat', 'air-handler-drive-running'])(
  '%s: an airflow switch feels air, not the rotor: with the belt off there is no heat, and no limit opens',
  (id) => {
    const unit = builtInUnit(id)
    const circuit = new Circuit(unit, situationOf(unit, 'heat1'))
    const states = (fault: string) => {
      const settled = circuit.vary(faultsOf(unit).find((each) => each.id === fault)?.effects ?? [])
      const state = (link: string) => settled.states[circuit.network.linkNumbers.get(link) ?? -1]
      return { rotor: state('IFM/rotor'), air: state('APS/contact'), limit: state('LS1/contact') }
    }
    expect(states('')).toEqual({ rotor: 'turning', air: 'closed', limit: 'closed' })
    expect(states('BELT:off')).toEqual({ rotor: 'turning', air: 'open', limit: 'closed' })
  },
)
