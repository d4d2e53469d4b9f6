import { useEffect, useState } from 'react'
import { Image, StyleSheet, View } from 'react-native'
import type { Spot } from '@jokulgale/core/visit/spots'
import { usePalette } from '../../ui/theme'
import { usePhoto } from '../photo/usePhoto'

const styles = StyleSheet.create({
  ring: { position: 'absolute', borderWidth: 3, borderColor: '#fff' },
})

interface SpotPictureProps {
  readonly photo: string
  /** In per cent of the picture; null: nothing is marked. */
  readonly at: Pick<Spot, 'x' | 'y'> | null
  readonly words: string
  /** Across the ring, dp. */
  readonly ring: number
}

/** As wide as most cameras make a picture, until its own shape is known. */
const usualShape = 4 / 3

/** A picture of a panel, whole and in its own shape, with a ring where a test point is. */
export function SpotPicture({ photo, at, words, ring }: SpotPictureProps) {
  const palette = usePalette()
  const { uri } = usePhoto(photo)
  const [shape, setShape] = useState(usualShape)
  useEffect(() => {
    if (!uri) return
    Image.getSize(
      uri,
      (width, height) => {
        if (width > 0 && height > 0) setShape(width / height)
      },
      () => undefined,
    )
  }, [uri])
  return (
    <View style={{ width: '100%', aspectRatio: shape, pointerEvents: 'none' }}>
      {uri ? (
        <Image source={{ uri }} accessibilityLabel={words} style={{ width: '100%', height: '100%' }} />
      ) : null}
      {at ? (
        <View
          style={[
            styles.ring,
            {
              left: `${at.x}%`,
              top: `${at.y}%`,
              width: ring,
              height: ring,
              marginLeft: -ring / 2,
              marginTop: -ring / 2,
              borderRadius: ring / 2,
              boxShadow: `0 0 0 3px ${palette.wrong}`,
            },
          ]}
        />
      ) : null}
    </View>
  )
}
