import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form'
import type { TextInputProps } from 'react-native'
import { Field } from './Field'

interface FormFieldProps<T extends FieldValues> extends Pick<
  TextInputProps,
  | 'autoCapitalize'
  | 'autoComplete'
  | 'inputMode'
  | 'multiline'
  | 'onSubmitEditing'
  | 'placeholder'
  | 'secureTextEntry'
> {
  readonly control: Control<T>
  readonly name: FieldPath<T>
  readonly label: string
}

/** A text field of a form, with what is wrong with it below. */
export function FormField<T extends FieldValues>({ control, name, label, ...rest }: FormFieldProps<T>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Field
          {...rest}
          label={label}
          value={field.value ?? ''}
          onChangeText={field.onChange}
          onBlur={field.onBlur}
          errorMessage={fieldState.error?.message}
        />
      )}
    />
  )
}
