import { Pressable, StyleSheet } from 'react-native'
import { Icon } from '../../ui/Icon'
import { target, usePalette } from '../../ui/theme'
import type { PhotoOf } from '../sync/photoOf'
import { useSync } from '../sync/SyncContext'
import { choosePicture } from './takePicture'

const styles = StyleSheet.create({
  press: { width: target, height: target, alignItems: 'center', justifyContent: 'center' },
})

interface PhotoPressProps {
  readonly visit: string
  readonly shows: PhotoOf
  readonly label: string
}

/** Takes a picture of something and keeps it with the visit. */
export function PhotoPress({ visit, shows, label }: PhotoPressProps) {
  const sync = useSync()
  const palette = usePalette()
  const take = async (): Promise<void> => {
    const image = await choosePicture()
    if (image) await sync.takePhoto(visit, image, shows)
  }
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`Photo: ${label}`}
      onPress={() => {
        void take()
      }}
      style={styles.press}
    >
      <Icon name="camera" color={palette.accent} size={22} />
    </Pressable>
  )
}
