import ThemedButton from '@rneui/themed/dist/Button'
import { fonts, target, usePalette } from './theme'

interface PressProps {
  readonly title: string
  readonly onPress: () => void
  readonly kind?: 'main' | 'side' | 'quiet'
  readonly disabled?: boolean
  readonly busy?: boolean
  readonly label?: string
  /** Takes what room there is in its line: as much as the others, or no less than its words need. */
  readonly grow?: boolean | 'from-words'
  readonly selected?: boolean
}

const growing = { true: { flex: 1 }, 'from-words': { flexGrow: 1, flexShrink: 1 } } as const

/** A button: `main` for the one thing to do here, `side` for others, `quiet` for ways out. */
export function Press({
  title,
  onPress,
  kind = 'side',
  disabled = false,
  busy = false,
  label,
  grow = false,
  selected,
}: PressProps) {
  const palette = usePalette()
  const look = {
    main: { back: palette.accent, text: palette.onAccent, edge: palette.accent },
    side: {
      back: selected ? palette.sunk : palette.raised,
      text: palette.text,
      edge: selected ? palette.accent : palette.line,
    },
    quiet: { back: 'transparent', text: palette.accent, edge: 'transparent' },
  }[kind]
  return (
    <ThemedButton
      title={title}
      onPress={onPress}
      disabled={disabled}
      loading={busy}
      accessibilityLabel={label ?? title}
      accessibilityRole="button"
      accessibilityState={selected === undefined ? { disabled } : { disabled, selected }}
      containerStyle={[{ borderRadius: 10, maxWidth: '100%' }, grow ? growing[`${grow}`] : null]}
      buttonStyle={{
        minHeight: target,
        borderRadius: 10,
        borderWidth: kind === 'quiet' ? 0 : selected ? 2 : 1,
        borderColor: look.edge,
        backgroundColor: look.back,
        paddingHorizontal: 14,
      }}
      disabledStyle={{ backgroundColor: palette.sunk, borderColor: palette.line }}
      disabledTitleStyle={{ color: palette.quiet }}
      titleStyle={{ color: look.text, fontFamily: fonts.strong, fontSize: 17 }}
      loadingProps={{ color: look.text }}
    />
  )
}
