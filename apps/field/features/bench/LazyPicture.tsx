import { lazy, Suspense } from 'react'
import type { Picture } from '@jokulgale/core/bench/picture'

const PictureView = lazy(async () => ({ default: (await import('../plots')).PictureView }))

/** A picture of the bench; what draws it comes when one is wanted. */
export const LazyPicture = ({ picture }: { readonly picture: Picture }) => (
  <Suspense fallback={null}>
    <PictureView picture={picture} />
  </Suspense>
)
