import { Input } from '@rneui/themed'
import type { TextInputProps } from 'react-native'
import { fonts, target, usePalette } from './theme'

interface FieldProps extends Omit<TextInputProps, 'style'> {
  readonly label: string
  readonly errorMessage?: string | undefined
}

/** A labelled text field. */
export function Field({ label, errorMessage, ...rest }: FieldProps) {
  const palette = usePalette()
  return (
    <Input
      {...rest}
      errorMessage={errorMessage}
      renderErrorMessage={errorMessage !== undefined}
      label={label}
      accessibilityLabel={label}
      labelStyle={{ fontFamily: fonts.strong, color: palette.quiet, fontSize: 14, marginBottom: 4 }}
      containerStyle={{ paddingHorizontal: 0 }}
      inputContainerStyle={{ borderWidth: 1, borderColor: palette.line, borderRadius: 10, backgroundColor: palette.raised, paddingHorizontal: 12, minHeight: target }}
      inputStyle={{ fontFamily: fonts.text, color: palette.text, fontSize: 17 }}
      placeholderTextColor={palette.quiet}
      errorStyle={{ fontFamily: fonts.text, color: palette.wrong, fontSize: 14, margin: 0, marginTop: 4 }}
    />
  )
}
