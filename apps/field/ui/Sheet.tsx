import type { ReactNode } from 'react'
import { Modal, Pressable, ScrollView, View } from 'react-native'
import { Press } from './Press'
import { space, usePalette } from './theme'
import { Words } from './Words'

interface SheetProps {
  readonly title: string
  readonly open: boolean
  readonly onClose: () => void
  readonly children: ReactNode
}

/** A sheet from below, for one question; closes by its button, the ground behind it, or Escape. */
export function Sheet({ title, open, onClose, children }: SheetProps) {
  const palette = usePalette()
  return (
    <Modal visible={open} aria-label={title} transparent animationType="none" onRequestClose={onClose}>
      <View style={{ flex: 1, justifyContent: 'flex-end' }}>
        <Pressable
          accessibilityRole="button"
          accessibilityLabel="Close"
          tabIndex={-1}
          onPress={onClose}
          style={{ position: 'absolute', inset: 0, backgroundColor: '#0a1116aa' }}
        />
        <View
          style={{
            backgroundColor: palette.ground,
            borderTopLeftRadius: 18,
            borderTopRightRadius: 18,
            maxHeight: '88%',
            width: '100%',
            maxWidth: 760,
            alignSelf: 'center',
          }}
        >
          <View
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              paddingLeft: space.large,
              paddingRight: space.small,
              paddingTop: space.small,
            }}
          >
            <Words size="lead" strong style={{ flex: 1 }} role="heading" aria-level={2}>
              {title}
            </Words>
            <Press kind="quiet" title="Close" onPress={onClose} />
          </View>
          <ScrollView
            contentContainerStyle={{ padding: space.large, paddingTop: space.small, gap: space.medium }}
            keyboardShouldPersistTaps="handled"
          >
            {children}
          </ScrollView>
        </View>
      </View>
    </Modal>
  )
}
