import type { ReactNode } from 'react'
import { View } from 'react-native'
import { Icon } from './Icon'
import { LinkPress } from './LinkPress'
import { space, usePalette } from './theme'
import { Words } from './Words'

interface RowProps {
  readonly title: string
  readonly below?: string
  readonly right?: ReactNode
  readonly onPress?: () => void
  readonly label?: string
}

/** A line of a list: a title, what is known of it, and the way to it. */
export function Row({ title, below, right, onPress, label }: RowProps) {
  const palette = usePalette()
  const inner = (
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: space.medium,
        paddingVertical: space.medium,
        minHeight: 60,
        borderBottomWidth: 1,
        borderColor: palette.line,
      }}
    >
      <View style={{ flex: 1 }}>
        <Words strong>{title}</Words>
        {below ? (
          <Words size="small" quiet>
            {below}
          </Words>
        ) : null}
      </View>
      {right}
      {onPress ? <Icon name="chevron-right" color={palette.quiet} /> : null}
    </View>
  )
  return onPress ? (
    <LinkPress accessibilityLabel={label ?? title} onPress={onPress}>
      {inner}
    </LinkPress>
  ) : (
    inner
  )
}
