import { createTheme, ThemeProvider } from '@rneui/themed/dist/config'
import { usePathname } from 'expo-router'
import { useEffect, useMemo, useState, type ReactNode } from 'react'
import { SafeAreaProvider } from 'react-native-safe-area-context'
import { Provider } from 'react-redux'
import { dark, light, PaletteProvider, useScheme } from '../ui/theme'
import { SignIn } from './session/SignIn'
import { diagnosisService } from '../workers/diagnosis'
import { createAppStore, useAppSelector } from './store'
import { readFact } from './sync/device'
import { Sync } from './sync/sync'
import { SyncProvider } from './sync/SyncContext'
import { unitsChosen } from './units/unitsSlice'
import { Opening } from './session/Opening'

/** Everything that stands around every screen: the store, the link to the server, the theme, the door. */
export function House({ children }: { readonly children: ReactNode }) {
  const scheme = useScheme()
  const [store] = useState(createAppStore)
  const [sync] = useState(() => new Sync(store))
  const theme = useMemo(() => createTheme({ mode: scheme }), [scheme])
  useEffect(() => {
    void sync.open()
    void readFact('units').then((units) => {
      if (units) store.dispatch(unitsChosen(units))
    })
    if ('serviceWorker' in navigator && process.env.NODE_ENV === 'production')
      navigator.serviceWorker.register('/service-worker.js').catch(() => undefined)
  }, [sync, store])
  return (
    <Provider store={store}>
      <SyncProvider value={sync}>
        <PaletteProvider value={scheme === 'dark' ? dark : light}>
          <ThemeProvider theme={theme}>
            <SafeAreaProvider>
              <Door>{children}</Door>
            </SafeAreaProvider>
          </ThemeProvider>
        </PaletteProvider>
      </SyncProvider>
    </Provider>
  )
}

function Door({ children }: { readonly children: ReactNode }) {
  const session = useAppSelector((state) => state.session)
  const path = usePathname()
  // its worker is there before the first call asks for it, and begins with the page of a visit; the sign-in does not
  // wait for its code
  const isWanted = session.is === 'in' || path.startsWith('/visits/')
  useEffect(() => {
    if (isWanted) diagnosisService()
  }, [isWanted])
  if (session.is === 'unknown') return <Opening />
  // a link lets somebody in who has no password yet
  return session.is === 'in' || path.startsWith('/join/') ? children : <SignIn />
}
