import { memo, useState } from 'react'
import { Pressable, View } from 'react-native'
import { Icon } from '../../ui/Icon'
import { Press } from '../../ui/Press'
import { useLow } from '../../ui/Screen'
import { Sheet } from '../../ui/Sheet'
import { space, target, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { PowerSheet, powerWords } from '../safety/PowerSheet'
import type { OpenVisit } from './useVisit'

/** The call that is set and the power state: always in view, changed in one tap. */
export const CallBar = memo(function CallBar({ visit }: { readonly visit: OpenVisit }) {
  const palette = usePalette()
  const low = useLow()
  const [open, setOpen] = useState<'call' | 'power' | null>(null)
  const { diagram, state, say } = visit
  const call = diagram.calls.find(({ id }) => id === currentCall(visit))
  const close = (): void => {
    setOpen(null)
  }
  const chip = (label: string, name: string, onPress: () => void, live: boolean) => (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${name}: ${label}. Change`}
      onPress={onPress}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 6,
        minHeight: target,
        paddingHorizontal: low ? space.hair : space.medium,
        flexShrink: name === 'Power' ? 0 : 1,
      }}
    >
      <View
        aria-hidden
        style={{
          width: 10,
          height: 10,
          borderRadius: live ? 5 : 0,
          backgroundColor: live ? palette.live : palette.dead,
        }}
      />
      <Words size="small" strong numberOfLines={1} style={{ flexShrink: 1 }}>
        {label}
      </Words>
      <Icon name="chevron-down" size={16} color={palette.quiet} />
    </Pressable>
  )
  return (
    <View
      style={{
        flexDirection: 'row',
        justifyContent: 'space-between',
        borderTopWidth: low ? 0 : 1,
        borderColor: palette.line,
      }}
    >
      {chip(
        call?.words ?? 'No call',
        'Call',
        () => {
          setOpen('call')
        },
        call?.id !== 'off',
      )}
      {chip(
        state.off.length > 0 ? `On, ${state.off.join(', ')} off` : powerWords[state.power],
        'Power',
        () => {
          setOpen('power')
        },
        state.power === 'on',
      )}
      <Sheet title="Which call is set?" open={open === 'call'} onClose={close}>
        <Words quiet>
          Set it at the thermostat, or join its terminals to R at the unit’s board. Then say here which it is.
        </Words>
        {diagram.calls.map(({ id, words }) => (
          <Press
            key={id}
            title={words}
            selected={id === call?.id}
            onPress={() => {
              close()
              void say({ kind: 'call', call: id })
            }}
          />
        ))}
      </Sheet>
      <PowerSheet visit={visit} open={open === 'power'} onClose={close} />
    </View>
  )
})

/** The call last set; before any, the complaint's own. */
export const currentCall = ({ state, diagram }: OpenVisit): string =>
  state.call ?? diagram.complaints.find(({ id }) => id === state.complaint)?.call ?? diagram.calls[0].id
