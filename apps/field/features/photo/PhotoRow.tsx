import { useEffect, useState } from 'react'
import { Image, View } from 'react-native'
import type { At } from '@jokulgale/core/visit/fold'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { readPhoto } from '../sync/device'

/** Pictures of a visit: from this device where it has them, from the server otherwise. */
export function PhotoRow({ photos }: { readonly photos: readonly At<'photo'>[] }) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
      {photos.map(({ entry, body }) => (
        <Photo
          key={entry.id}
          id={body.photo}
          words={[body.of, body.words].filter(Boolean).join(': ') || 'Photo'}
        />
      ))}
    </View>
  )
}

function Photo({ id, words }: { readonly id: string; readonly words: string }) {
  const palette = usePalette()
  const [uri, setUri] = useState('')
  const [refused, setRefused] = useState('')
  useEffect(() => {
    let own = ''
    void readPhoto(id).then((photo) => {
      own = photo ? URL.createObjectURL(photo.image) : ''
      setUri(own || `/api/photos/${id}`)
      setRefused(photo?.refused ?? '')
    })
    return () => {
      if (own) URL.revokeObjectURL(own)
    }
  }, [id])
  return (
    <View style={{ width: 150, gap: 2 }}>
      {uri ? (
        <Image
          source={{ uri }}
          accessibilityLabel={words}
          style={{ width: 150, height: 112, borderRadius: 8 }}
        />
      ) : null}
      <Words size="small" quiet numberOfLines={2}>
        {words}
      </Words>
      {refused ? <Words size="small" color={palette.wrong}>{`On this device only: ${refused}`}</Words> : null}
    </View>
  )
}
