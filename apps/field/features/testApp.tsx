import { render } from '@testing-library/react-native'
import type { ReactElement } from 'react'
import { Provider } from 'react-redux'
import { createAppStore } from './store'

/** Renders something as it stands in the application: with a store of its own behind it. */
export const renderInApp = (what: ReactElement, store = createAppStore()): void => {
  render(<Provider store={store}>{what}</Provider>)
}
