import { Image, StyleSheet, View } from 'react-native'
import type { At } from '@jokulgale/core/visit/fold'
import { photoWords } from '@jokulgale/core/visit/spots'
import { usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { usePhoto } from './usePhoto'
import { Line } from '../../ui/Line'

const styles = StyleSheet.create({
  photo: { width: 150, height: 112, borderRadius: 8 },
})

/** Pictures of a visit: from this device where it has them, from the server otherwise. */
export function PhotoRow({ photos }: { readonly photos: readonly At<'photo'>[] }) {
  return (
    <Line wraps gap="small">
      {photos.map(({ entry, body }) => (
        <Photo key={entry.id} id={body.photo} words={photoWords(body)} />
      ))}
    </Line>
  )
}

function Photo({ id, words }: { readonly id: string; readonly words: string }) {
  const palette = usePalette()
  const { uri, refused } = usePhoto(id)
  return (
    <View style={{ width: 150, gap: 2 }}>
      {uri ? <Image source={{ uri }} accessibilityLabel={words} style={styles.photo} /> : null}
      <Words size="small" quiet numberOfLines={2}>
        {words}
      </Words>
      {refused ? <Words size="small" color={palette.wrong}>{`On this device only: ${refused}`}</Words> : null}
    </View>
  )
}
