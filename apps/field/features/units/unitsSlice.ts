import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { usualUnits, type DisplayUnits } from '@jokulgale/core/physics/displayUnits'

/** The units that this device shows and takes. */
export const unitsSlice = createSlice({
  name: 'units',
  initialState: usualUnits,
  reducers: {
    unitsChosen: (_state, { payload }: PayloadAction<DisplayUnits>): DisplayUnits => payload,
  },
})

export const { unitsChosen } = unitsSlice.actions
