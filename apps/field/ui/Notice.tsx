import { StyleSheet, View } from 'react-native'
import { Icon } from './Icon'
import { space, usePalette } from './theme'
import { Words } from './Words'

const styles = StyleSheet.create({
  notice: {
    flexDirection: 'row',
    gap: space.small,
    borderLeftWidth: 3,
    paddingLeft: space.medium,
    paddingVertical: space.hair,
  },
})

interface NoticeProps {
  readonly kind: 'caution' | 'wrong' | 'plain' | 'good'
  readonly children: string
}

/** What the server answers is a part of a sentence; here it stands alone. */
const asSentence = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1)

/** A short notice at the place that it is about. */
export function Notice({ kind, children }: NoticeProps) {
  const palette = usePalette()
  const color = { caution: palette.live, wrong: palette.wrong, plain: palette.quiet, good: palette.good }[
    kind
  ]
  const icon = ({ caution: 'alert-triangle', wrong: 'x-octagon', plain: 'info', good: 'check' } as const)[
    kind
  ]
  return (
    <View role={kind === 'wrong' ? 'alert' : 'note'} style={[styles.notice, { borderColor: color }]}>
      <Icon name={icon} color={color} size={20} />
      <Words grows>{kind === 'wrong' ? asSentence(children) : children}</Words>
    </View>
  )
}
