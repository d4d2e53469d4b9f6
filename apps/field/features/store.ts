import { configureStore } from '@reduxjs/toolkit'
import { useDispatch, useSelector } from 'react-redux'
import { placesSlice } from './places/placesSlice'
import { sessionSlice } from './session/sessionSlice'
import { unitsSlice } from './units/unitsSlice'
import { visitsSlice } from './visit/visitsSlice'

export const createAppStore = () =>
  configureStore({
    reducer: {
      session: sessionSlice.reducer,
      places: placesSlice.reducer,
      visits: visitsSlice.reducer,
      units: unitsSlice.reducer,
    },
    // logs grow to thousands of entries that nothing mutates: the development checks would read them all each
    // time
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
  })

export type AppStore = ReturnType<typeof createAppStore>
export type AppState = ReturnType<AppStore['getState']>
export type AppDispatch = AppStore['dispatch']
export const useAppDispatch = useDispatch.withTypes<AppDispatch>()
export const useAppSelector = useSelector.withTypes<AppState>()
