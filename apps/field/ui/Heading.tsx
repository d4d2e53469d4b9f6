import { useRouter, type Href } from 'expo-router'
import type { ReactNode } from 'react'
import { Pressable, View } from 'react-native'
import { Icon } from './Icon'
import { useLow } from './Screen'
import { space, target, usePalette } from './theme'
import { Words } from './Words'

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
    <View
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: space.small,
        paddingHorizontal: space.medium,
        paddingVertical: low ? 0 : space.small,
        minHeight: low ? target : 60,
      }}
    >
      {back ? (
        <Pressable
          accessibilityRole="button"
          accessibilityLabel="Back"
          onPress={() => {
            router.navigate(back)
          }}
          style={{ width: target, height: target, alignItems: 'center', justifyContent: 'center' }}
        >
          <Icon name="arrow-left" color={palette.accent} />
        </Pressable>
      ) : null}
      <View style={{ flex: 1 }}>
        <Words size="lead" strong role="heading" aria-level={1} numberOfLines={low ? 1 : 2}>
          {title}
        </Words>
        {below && !low ? (
          <Words size="small" quiet numberOfLines={1}>
            {below}
          </Words>
        ) : null}
      </View>
      {right}
    </View>
  )
}
