import { View } from 'react-native'
import { Press } from './Press'
import { space } from './theme'

interface ChipsProps<T extends string> {
  readonly options: readonly { readonly id: T; readonly words: string }[]
  readonly chosen: T | null
  readonly onChoose: (id: T) => void
  readonly label?: string
}

/** A few short choices side by side. */
export function Chips<T extends string>({ options, chosen, onChoose, label }: ChipsProps<T>) {
  return (
    <View
      role="group"
      aria-label={label}
      style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}
    >
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
    </View>
  )
}
