import { builtInUnitIds } from '@jokulgale/core/units/index'
import { onThreads } from './threads'

/**
 * Works something out for each of the units on a thread of its own, and says which is done; gives what came
 * of them in the units' own order, whichever ended first.
 */
export async function eachUnit<Row extends { readonly seconds: number }>(
  ids: readonly string[],
  threads: number,
): Promise<readonly Row[]> {
  const rows = new Map<string, Row>()
  await onThreads<string, Row>(ids, threads, (id, row) => {
    rows.set(id, row)
    console.log(id, `${row.seconds.toFixed(0)} s`)
  })
  return builtInUnitIds.flatMap((id) => rows.get(id) ?? [])
}
