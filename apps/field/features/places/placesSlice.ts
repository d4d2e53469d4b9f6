import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Board, Places } from '@jokulgale/contract/places'
import type { Experience } from '@jokulgale/core/diagnosis/priors'

interface PlacesState {
  readonly places: Places | null
  readonly board: Board | null
  /** What the shop's closed visits have found. */
  readonly experience: Experience | null
}

const initialState: PlacesState = { places: null, board: null, experience: null }

/** Sites, units, diagrams and the board, as last heard from the server or kept on the device. */
export const placesSlice = createSlice({
  name: 'places',
  initialState,
  reducers: {
    placesKnown: (state, { payload }: PayloadAction<Places>) => ({ ...state, places: payload }),
    boardKnown: (state, { payload }: PayloadAction<Board>) => ({ ...state, board: payload }),
    experienceKnown: (state, { payload }: PayloadAction<Experience>) => ({ ...state, experience: payload }),
    placesForgotten: () => initialState,
  },
})

export const { placesKnown, boardKnown, experienceKnown, placesForgotten } = placesSlice.actions
