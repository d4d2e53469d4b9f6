import { Line } from '../../ui/Line'
import { Press } from '../../ui/Press'
import type { OpenVisit } from '../visit/useVisit'
import { wrongLooks, type LookItem } from './firstLook'

/** Which part of an item of the first look is wrong, and how, where that is not said with the item itself. */
export function WhichIsWrong({ item, visit }: { readonly item: LookItem; readonly visit: OpenVisit }) {
  const ways = wrongLooks(item)
  if (ways.length < 2) return null
  const isSaid = (of: string, what: string): boolean =>
    visit.state.observations.filter(({ body }) => body.of === of).at(-1)?.body.what === what
  return (
    <Line wraps gap="small">
      {ways.map(({ of, what, words }) => (
        <Press
          key={`${of} ${what}`}
          title={words}
          selected={isSaid(of, what)}
          onPress={() => {
            void visit.say({ kind: 'observation', of, what })
          }}
        />
      ))}
    </Line>
  )
}
