import type { Control, FieldPath, FieldValues } from 'react-hook-form'
import { FormField } from '../../ui/FormField'

interface CredentialFieldProps<T extends FieldValues> {
  readonly control: Control<T>
  readonly name: FieldPath<T>
}

/** The e-mail that somebody signs in with. */
export function EmailField<T extends FieldValues>({ control, name }: CredentialFieldProps<T>) {
  return (
    <FormField
      control={control}
      name={name}
      label="E-mail"
      autoCapitalize="none"
      autoComplete="username"
      inputMode="email"
    />
  )
}

/** The password that somebody has now. */
export function PresentPasswordField<T extends FieldValues>({
  control,
  name,
  onDone,
}: CredentialFieldProps<T> & { readonly onDone?: () => void }) {
  return (
    <FormField
      control={control}
      name={name}
      label="Present password"
      secureTextEntry
      autoComplete="current-password"
      {...(onDone ? { onSubmitEditing: onDone } : {})}
    />
  )
}

/** The code that an authenticator shows, or a spare one. */
export function CodeField<T extends FieldValues>({
  control,
  name,
  onDone,
}: CredentialFieldProps<T> & { readonly onDone: () => void }) {
  return (
    <FormField
      control={control}
      name={name}
      label="Code of your authenticator, or a spare one"
      autoCapitalize="characters"
      autoComplete="one-time-code"
      onSubmitEditing={onDone}
    />
  )
}

interface NewPasswordFieldProps<T extends FieldValues> extends CredentialFieldProps<T> {
  readonly label?: string
  readonly onDone: () => void
}

/** A password that is being chosen; the form is sent from it. */
export function NewPasswordField<T extends FieldValues>({
  control,
  name,
  label = 'Password, ten letters or more',
  onDone,
}: NewPasswordFieldProps<T>) {
  return (
    <FormField
      control={control}
      name={name}
      label={label}
      secureTextEntry
      autoComplete="new-password"
      onSubmitEditing={onDone}
    />
  )
}
