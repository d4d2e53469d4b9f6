import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Board, Places } from '@jokulgale/contract/places'

interface PlacesState {
  readonly places: Places | null
  readonly board: Board | null
}

const initialState: PlacesState = { places: null, board: null }

/** Sites, units, diagrams and the board, as last heard from the server or kept on the device. */
export const placesSlice = createSlice({
  name: 'places',
  initialState,
  reducers: {
    placesKnown: (state, { payload }: PayloadAction<Places>) => ({ ...state, places: payload }),
    boardKnown: (state, { payload }: PayloadAction<Board>) => ({ ...state, board: payload }),
    placesForgotten: () => initialState,
  },
})

export const { placesKnown, boardKnown, placesForgotten } = placesSlice.actions
