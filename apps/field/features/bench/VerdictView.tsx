import type { Level, Outcome } from '@jokulgale/core/bench/tool'
import { Notice } from '../../ui/Notice'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { LazyPicture } from './LazyPicture'
import { Line } from '../../ui/Line'

const noticeOf = { good: 'good', watch: 'caution', act: 'wrong' } as const satisfies Record<Level, string>

/** What a tool finds, or which number it still needs. */
export function VerdictView({
  outcome,
  hasTyped,
}: {
  readonly outcome: Outcome
  readonly hasTyped: boolean
}) {
  if (outcome.is === 'problems') {
    const [first] = outcome.problems
    return hasTyped ? <Words quiet>{first.message}</Words> : null
  }
  const { level, words, lines, picture } = outcome.verdict
  return (
    <Stack gap="small" aria-live="polite">
      <Notice kind={noticeOf[level]}>{words}</Notice>
      {picture ? <LazyPicture picture={picture} /> : null}
      {lines.map(({ what, value }) => (
        <Line key={what} gap="medium">
          <Words grows>{what}</Words>
          <Words strong>{value}</Words>
        </Line>
      ))}
    </Stack>
  )
}
