import type { ReactNode } from 'react'
import { StyleSheet, View } from 'react-native'
import { Icon } from './Icon'
import { LinkPress } from './LinkPress'
import { Stack } from './Stack'
import { space, usePalette } from './theme'
import { Words } from './Words'

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.medium,
    paddingVertical: space.medium,
    minHeight: 60,
    borderBottomWidth: 1,
  },
})

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
    <View style={[styles.row, { borderColor: palette.line }]}>
      <Stack grows>
        <Words strong>{title}</Words>
        {below ? (
          <Words size="small" quiet>
            {below}
          </Words>
        ) : null}
      </Stack>
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
