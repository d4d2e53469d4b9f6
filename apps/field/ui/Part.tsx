import type { ReactNode } from 'react'
import { Words } from './Words'
import { Stack } from './Stack'

/** A part of a screen under its heading. */
export function Part({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Stack gap="small">
      <Words strong quiet role="heading" aria-level={2}>
        {title}
      </Words>
      {children}
    </Stack>
  )
}
