import { useRouter, type Href } from 'expo-router'
import type { ReactNode } from 'react'
import { Pressable, StyleSheet, View } from 'react-native'
import { Icon } from './Icon'
import { useLow } from './Screen'
import { Stack } from './Stack'
import { space, target, usePalette } from './theme'
import { Words } from './Words'

const styles = StyleSheet.create({
  bar: { flexDirection: 'row', alignItems: 'center', gap: space.small, paddingHorizontal: space.medium },
  back: { width: target, height: target, alignItems: 'center', justifyContent: 'center' },
})

interface HeadingProps {
  readonly title: string
  readonly below?: string
  readonly back?: Href
  readonly right?: ReactNode
}

/** The head of a screen: where one is, the way back, and what belongs to the whole of it. */
export function Heading({ title, below, back, right }: HeadingProps) {
  const palette = usePalette()
  const router = useRouter()
  const low = useLow()
  return (
    <View style={[styles.bar, { paddingVertical: low ? 0 : space.small, minHeight: low ? target : 60 }]}>
      {back ? (
        <Pressable
          accessibilityRole="button"
          accessibilityLabel="Back"
          onPress={() => {
            router.navigate(back)
          }}
          style={styles.back}
        >
          <Icon name="arrow-left" color={palette.accent} />
        </Pressable>
      ) : null}
      <Stack grows>
        <Words size="lead" strong role="heading" aria-level={1} numberOfLines={low ? 1 : 2}>
          {title}
        </Words>
        {below && !low ? (
          <Words size="small" quiet numberOfLines={1}>
            {below}
          </Words>
        ) : null}
      </Stack>
      {right}
    </View>
  )
}
