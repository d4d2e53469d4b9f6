// by its own path: the package's front door brings all of its parts
import ThemedInput from '@rneui/themed/dist/Input'
import { useState } from 'react'
import type { TextInputProps } from 'react-native'
import { fonts, target, usePalette } from './theme'

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
      labelStyle={{ fontFamily: fonts.strong, color: palette.quiet, fontSize: 14, marginBottom: 4 }}
      containerStyle={{ paddingHorizontal: 0 }}
      inputContainerStyle={{
        borderWidth: focused ? 2 : 1,
        borderColor: focused ? palette.accent : palette.line,
        borderRadius: 10,
        backgroundColor: palette.raised,
        paddingHorizontal: focused ? 11 : 12,
        minHeight: target,
      }}
      inputStyle={{
        fontFamily: fonts.text,
        color: palette.text,
        fontSize: 17,
        outlineStyle: 'solid',
        outlineWidth: 0,
      }}
      placeholderTextColor={palette.quiet}
      errorStyle={{ fontFamily: fonts.text, color: palette.wrong, fontSize: 14, margin: 0, marginTop: 4 }}
    />
  )
}
