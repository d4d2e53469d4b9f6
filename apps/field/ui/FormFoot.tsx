import { Press } from './Press'
import { Stack } from './Stack'

interface FormFootProps {
  readonly title: string
  readonly onPress: () => void
  readonly disabled?: boolean
  readonly busy?: boolean
}

/** The one thing to do with a form, in the thumb's reach. */
export function FormFoot({ title, onPress, disabled = false, busy = false }: FormFootProps) {
  return (
    <Stack padding="medium">
      <Press kind="main" title={title} disabled={disabled} busy={busy} onPress={onPress} />
    </Stack>
  )
}
