import { createContext, useContext, useSyncExternalStore } from 'react'
import { Appearance } from 'react-native'

/** Colours by what they mean. One warm colour: live. */
export interface Palette {
  readonly ground: string
  readonly raised: string
  readonly line: string
  readonly text: string
  readonly quiet: string
  readonly live: string
  readonly onLive: string
  readonly dead: string
  readonly accent: string
  readonly onAccent: string
  readonly wrong: string
  readonly good: string
  readonly sunk: string
}

export const light: Palette = {
  ground: '#e9f0f4',
  raised: '#f8fbfc',
  sunk: '#d9e4ea',
  line: '#a9bcc8',
  text: '#16242d',
  quiet: '#435966',
  live: '#b04300',
  onLive: '#ffffff',
  dead: '#5a6f7b',
  accent: '#1d4a63',
  onAccent: '#ffffff',
  wrong: '#a11334',
  good: '#1e5f45',
}

export const dark: Palette = {
  ground: '#10191f',
  raised: '#18252d',
  sunk: '#0a1116',
  line: '#3b4f5b',
  text: '#e3edf2',
  quiet: '#a5b8c3',
  live: '#ff9a4d',
  onLive: '#1d0f04',
  dead: '#8ba1ae',
  accent: '#a9d3ea',
  onAccent: '#0c1c26',
  wrong: '#ff8fa3',
  good: '#86d3b0',
}

const PaletteContext = createContext<Palette>(light)
export const PaletteProvider = PaletteContext.Provider
export const usePalette = (): Palette => useContext(PaletteContext)

type Scheme = 'light' | 'dark'
const currentScheme = (): Scheme => (Appearance.getColorScheme() === 'dark' ? 'dark' : 'light')
// asked anew at every render, as the hook of the platform does, a change could fall between two askings
const onSchemeChange = (notify: () => void): (() => void) => {
  const listening = Appearance.addChangeListener(notify)
  return () => {
    listening.remove()
  }
}

/** The scheme of the device, also when it changes at dusk. */
export const useScheme = (): Scheme => useSyncExternalStore(onSchemeChange, currentScheme, () => 'light')

export const fonts = {
  text: 'AtkinsonHyperlegibleNext_400Regular',
  strong: 'AtkinsonHyperlegibleNext_700Bold',
  reading: 'IBMPlexMono_600SemiBold',
} as const

/** Steps of space and the least size of a target, dp. */
export const space = { hair: 4, small: 8, medium: 12, large: 16, huge: 24 } as const
export const target = 48
/** From this width on a screen is laid out wide, dp. */
export const wideFrom = 900
/** A screen that is lower than this, and wider than high, has no room for anything above or below, dp. */
export const lowBelow = 520
