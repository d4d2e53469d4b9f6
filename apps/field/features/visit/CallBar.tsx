import { memo, useState } from 'react'
import { Pressable, StyleSheet, View } from 'react-native'
import { complaintSaid } from '@jokulgale/core/visit/complaintSaid'
import { Icon } from '../../ui/Icon'
import { Press } from '../../ui/Press'
import { useLow } from '../../ui/Screen'
import { Sheet } from '../../ui/Sheet'
import { space, target, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { PowerSheet, powerWords } from '../safety/PowerSheet'
import type { OpenVisit } from './useVisit'

const styles = StyleSheet.create({
  press: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    minHeight: target,
    paddingHorizontal: space.small,
  },
})

interface CallBarProps {
  readonly visit: OpenVisit
  readonly onMeasures: () => void
}

/** The call that is set, the power and what is temporary: always in view, changed in one tap. */
export const CallBar = memo(function CallBar({ visit, onMeasures }: CallBarProps) {
  const low = useLow()
  const [open, setOpen] = useState<'call' | 'power' | null>(null)
  const { diagram, state, say } = visit
  const call = diagram.calls.find(({ id }) => id === currentCall(visit))
  const power = state.off.length > 0 ? `On, ${state.off.join(', ')} off` : powerWords[state.power]
  const temporary = state.measures.length
  const close = (): void => {
    setOpen(null)
  }
  return (
    <View style={{ flexDirection: 'row', justifyContent: 'space-between', gap: low ? space.small : 0 }}>
      <BarPress
        words={call?.words ?? 'No call'}
        label={`Call: ${call?.words ?? 'No call'}. Change`}
        mark={call?.id === 'off' ? 'dead' : 'live'}
        grow
        onPress={() => {
          setOpen('call')
        }}
      />
      <BarPress
        words={power}
        label={`Power: ${power}. Change`}
        mark={state.power === 'on' ? 'live' : 'dead'}
        grow={power !== powerWords.on}
        onPress={() => {
          setOpen('power')
        }}
      />
      <BarPress
        words={temporary > 0 ? `Temporary: ${temporary}` : 'Temporary'}
        label={`Temporary measures: ${temporary} on`}
        mark={null}
        onPress={onMeasures}
      />
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

interface BarPressProps {
  readonly words: string
  readonly label: string
  /** Whether what it says is live; null where that is no question. */
  readonly mark: 'live' | 'dead' | null
  /** Its words may be long: they go on in a second line where the others leave too little room. */
  readonly grow?: boolean
  readonly onPress: () => void
}

function BarPress({ words, label, mark, grow = false, onPress }: BarPressProps) {
  const palette = usePalette()
  const low = useLow()
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={label}
      onPress={onPress}
      style={[styles.press, { flexShrink: grow ? 1 : 0 }]}
    >
      {mark ? (
        <View
          aria-hidden
          style={{
            width: 10,
            height: 10,
            borderRadius: mark === 'live' ? 5 : 0,
            backgroundColor: mark === 'live' ? palette.live : palette.dead,
          }}
        />
      ) : null}
      <Words size="small" strong numberOfLines={3} style={{ flexShrink: 1 }}>
        {words}
      </Words>
      {low ? null : <Icon name="chevron-down" size={16} color={palette.quiet} />}
    </Pressable>
  )
}

/** The call last set; before any, the complaint's own. */
export const currentCall = ({ state, diagram }: OpenVisit): string =>
  state.call ?? complaintSaid(diagram, state.complaint)?.call ?? diagram.calls[0].id
