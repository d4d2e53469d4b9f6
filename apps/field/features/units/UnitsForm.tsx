import { pressureUnits, temperatureUnits, type DisplayUnits } from '@jokulgale/core/physics/displayUnits'
import { Chips } from '../../ui/Chips'
import { Part } from '../../ui/Part'
import { Words } from '../../ui/Words'
import { useAppDispatch } from '../store'
import { writeFact } from '../sync/device'
import { unitsChosen } from './unitsSlice'
import { useUnits } from './useUnits'

const named = <T extends string>(units: readonly T[]) => units.map((id) => ({ id, words: id }))

/** Units on this device: of weather, water and pressures as they are read and typed. */
export function UnitsForm() {
  const units = useUnits()
  const dispatch = useAppDispatch()
  const choose = (chosen: DisplayUnits): void => {
    dispatch(unitsChosen(chosen))
    void writeFact('units', chosen)
  }
  return (
    <Part title="Units on this device">
      <Chips
        label="Temperature"
        options={named(temperatureUnits)}
        chosen={units.temperature}
        onChoose={(temperature) => {
          choose({ ...units, temperature })
        }}
      />
      <Chips
        label="Pressure"
        options={named(pressureUnits)}
        chosen={units.pressure}
        onChoose={(pressure) => {
          choose({ ...units, pressure })
        }}
      />
      <Words size="small" quiet>
        For what is read and typed here. Records and reports keep °F and psig.
      </Words>
    </Part>
  )
}
