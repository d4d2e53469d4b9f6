import { Press } from './Press'
import { Line } from './Line'

interface ChipsProps<T extends string> {
  readonly options: readonly { readonly id: T; readonly words: string }[]
  readonly chosen: T | null
  readonly onChoose: (id: T) => void
  readonly label?: string
}

/** A few short choices side by side. */
export function Chips<T extends string>({ options, chosen, onChoose, label }: ChipsProps<T>) {
  return (
    <Line role="group" aria-label={label} wraps gap="small">
      {options.map(({ id, words }) => (
        <Press
          key={id}
          title={words}
          selected={id === chosen}
          onPress={() => {
            onChoose(id)
          }}
        />
      ))}
    </Line>
  )
}
