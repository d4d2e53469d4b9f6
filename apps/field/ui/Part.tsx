import type { ReactNode } from 'react'
import { View } from 'react-native'
import { space } from './theme'
import { Words } from './Words'

/** A part of a screen under its heading. */
export function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <View style={{ gap: space.small }}>
      <Words strong quiet role="heading" aria-level={2}>
        {title}
      </Words>
      {children}
    </View>
  )
}
