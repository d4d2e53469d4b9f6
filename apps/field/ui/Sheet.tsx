import type { ReactNode } from 'react'
import { Modal, Pressable, ScrollView, StyleSheet, View } from 'react-native'
import { Press } from './Press'
import { Stack } from './Stack'
import { space, usePalette } from './theme'
import { Words } from './Words'

const styles = StyleSheet.create({
  behind: { position: 'absolute', inset: 0, backgroundColor: '#0a1116aa' },
  panel: {
    borderTopLeftRadius: 18,
    borderTopRightRadius: 18,
    maxHeight: '88%',
    width: '100%',
    maxWidth: 760,
    alignSelf: 'center',
  },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    paddingLeft: space.large,
    paddingRight: space.small,
    paddingTop: space.small,
  },
  body: { padding: space.large, paddingTop: space.small, gap: space.medium },
})

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
      <Stack grows justify="flex-end">
        <Pressable
          accessibilityRole="button"
          accessibilityLabel="Close"
          tabIndex={-1}
          onPress={onClose}
          style={styles.behind}
        />
        <View style={[styles.panel, { backgroundColor: palette.ground }]}>
          <View style={styles.head}>
            <Words size="lead" strong grows role="heading" aria-level={2}>
              {title}
            </Words>
            <Press kind="quiet" title="Close" onPress={onClose} />
          </View>
          <ScrollView contentContainerStyle={styles.body} keyboardShouldPersistTaps="handled">
            {children}
          </ScrollView>
        </View>
      </Stack>
    </Modal>
  )
}
