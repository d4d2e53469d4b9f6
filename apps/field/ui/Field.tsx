// by its own path: the package's front door brings all of its parts
import ThemedInput from '@rneui/themed/dist/Input'
import { useState } from 'react'
import { StyleSheet, type TextInputProps } from 'react-native'
import { fonts, target, usePalette } from './theme'

const styles = StyleSheet.create({
  label: { fontFamily: fonts.strong, fontSize: 14, marginBottom: 4 },
  typed: { fontFamily: fonts.text, fontSize: 17, outlineStyle: 'solid', outlineWidth: 0 },
  wrong: { fontFamily: fonts.text, fontSize: 14, margin: 0, marginTop: 4 },
})

interface FieldProps extends Omit<TextInputProps, 'style'> {
  readonly label: string
  readonly errorMessage?: string | undefined
}

/** A labelled text field; its frame shows the focus. */
export function Field({ label, errorMessage, ...rest }: FieldProps) {
  const palette = usePalette()
  const [focused, setFocused] = useState(false)
  return (
    <ThemedInput
      {...rest}
      onFocus={(event) => {
        setFocused(true)
        rest.onFocus?.(event)
      }}
      onBlur={(event) => {
        setFocused(false)
        rest.onBlur?.(event)
      }}
      errorMessage={errorMessage}
      renderErrorMessage={errorMessage !== undefined}
      label={label}
      accessibilityLabel={label}
      labelStyle={[styles.label, { color: palette.quiet }]}
      containerStyle={{ paddingHorizontal: 0 }}
      inputContainerStyle={{
        borderWidth: focused ? 2 : 1,
        borderColor: focused ? palette.accent : palette.line,
        borderRadius: 10,
        backgroundColor: palette.raised,
        paddingHorizontal: focused ? 11 : 12,
        minHeight: target,
      }}
      inputStyle={[styles.typed, { color: palette.text }]}
      placeholderTextColor={palette.quiet}
      errorStyle={[styles.wrong, { color: palette.wrong }]}
    />
  )
}
