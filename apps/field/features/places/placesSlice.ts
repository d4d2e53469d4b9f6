import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Board, DiagramRecord, Places } from '@jokulgale/contract/places'
import type { Experience } from '@jokulgale/core/diagnosis/priors'
import type { KeptDiagram, KeptPlaceEdit } from '../sync/device'
import { withEdits } from './withEdits'

interface PlacesState {
  /** As last heard from the server, or kept on the device. */
  readonly heard: Places | null
  /** What was made of them here and may not be in that. */
  readonly edits: readonly KeptPlaceEdit[]
  readonly made: readonly KeptDiagram[]
  /** Both together: what is shown. */
  readonly places: Places | null
  readonly board: Board | null
  /** What the shop's closed visits have found. */
  readonly experience: Experience | null
}

const initialState: PlacesState = {
  heard: null,
  edits: [],
  made: [],
  places: null,
  board: null,
  experience: null,
}

const nothingHeard: Places = { sites: [], units: [], diagrams: [], people: [], others: [], epoch: '' }

const together = (state: PlacesState): PlacesState => {
  const { heard, edits, made } = state
  const isKnown = heard !== null || edits.length > 0
  return { ...state, places: isKnown ? withEdits(heard ?? nothingHeard, edits, made) : null }
}

const replacing = <T extends { readonly id: string }>(kept: readonly T[], one: T): readonly T[] => [
  ...kept.filter(({ id }) => id !== one.id),
  one,
]

/** Sites, units, circuits and the board. */
export const placesSlice = createSlice({
  name: 'places',
  initialState,
  reducers: {
    placesKnown: (state, { payload }: PayloadAction<Places>) => together({ ...state, heard: payload }),
    placeEdited: (state, { payload }: PayloadAction<KeptPlaceEdit>) =>
      together({ ...state, edits: replacing(state.edits, payload) }),
    diagramMade: (state, { payload }: PayloadAction<KeptDiagram>) =>
      together({ ...state, made: replacing(state.made, payload) }),
    /** A circuit that no unit has any more, fetched for an old visit. */
    diagramFetched: (state, { payload }: PayloadAction<DiagramRecord>) => {
      const heard = state.heard ?? nothingHeard
      return together({ ...state, heard: { ...heard, diagrams: replacing(heard.diagrams, payload) } })
    },
    /** The server's places have these by now. */
    placesTaken: (state, { payload }: PayloadAction<ReadonlySet<string>>) =>
      together({
        ...state,
        edits: state.edits.filter(({ id }) => !payload.has(id)),
        made: state.made.filter(({ id }) => !payload.has(id)),
      }),
    boardKnown: (state, { payload }: PayloadAction<Board>) => ({ ...state, board: payload }),
    experienceKnown: (state, { payload }: PayloadAction<Experience>) => ({ ...state, experience: payload }),
    placesForgotten: () => initialState,
  },
})

export const {
  placesKnown,
  placeEdited,
  diagramMade,
  diagramFetched,
  placesTaken,
  boardKnown,
  experienceKnown,
  placesForgotten,
} = placesSlice.actions
