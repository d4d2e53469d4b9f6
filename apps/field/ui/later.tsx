import { lazy, Suspense, type ComponentType } from 'react'
import { Screen } from './Screen'
import { Words } from './Words'

/**
 * A screen that comes when it is first opened, and is not part of the first load. Its file is kept on the
 * device with the rest of the application: it opens with no signal too.
 */
export function later<Props extends object>(
  bring: () => Promise<ComponentType<Props>>,
): (props: Props) => React.JSX.Element {
  const Brought = lazy(async () => ({ default: await bring() }))
  const Later = (props: Props) => (
    <Suspense
      fallback={
        <Screen>
          <Words quiet>One moment …</Words>
        </Screen>
      }
    >
      <Brought {...props} />
    </Suspense>
  )
  return Later
}
