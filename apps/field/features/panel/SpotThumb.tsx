import { useState } from 'react'
import { Pressable, StyleSheet } from 'react-native'
import type { Spot } from '@jokulgale/core/visit/spots'
import { Sheet } from '../../ui/Sheet'
import { Words } from '../../ui/Words'
import { SpotPicture } from './SpotPicture'

const styles = StyleSheet.create({
  thumb: { minHeight: 48, borderRadius: 8, overflow: 'hidden' },
})

const widthDp = 84

/** Where a test point is, small; a tap shows the whole picture. */
export function SpotThumb({
  point,
  words,
  spot,
}: {
  readonly point: string
  readonly words: string
  readonly spot: Spot
}) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <Pressable
        accessibilityRole="button"
        accessibilityLabel={`Where ${point} is`}
        onPress={() => {
          setOpen(true)
        }}
        style={[styles.thumb, { width: widthDp }]}
      >
        <SpotPicture photo={spot.photo} at={spot} words={`Picture of ${point}, small`} ring={22} />
      </Pressable>
      <Sheet
        title={point}
        open={open}
        onClose={() => {
          setOpen(false)
        }}
      >
        <Words quiet>{words}</Words>
        <SpotPicture photo={spot.photo} at={spot} words={`Picture: ${point} is in the ring`} ring={44} />
      </Sheet>
    </>
  )
}
