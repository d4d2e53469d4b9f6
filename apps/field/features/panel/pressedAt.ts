import type { GestureResponderEvent } from 'react-native'

/**
 * Where in what was pressed a finger or a mouse was, dp from its upper left; null of a key. A browser says it
 * as a mouse event does, a phone’s own platform as a touch.
 */
export function pressedAt({
  nativeEvent,
}: Pick<GestureResponderEvent, 'nativeEvent'>): { readonly x: number; readonly y: number } | null {
  const of = (name: string): number | null => {
    const value: unknown = Reflect.get(nativeEvent, name)
    return typeof value === 'number' && Number.isFinite(value) ? value : null
  }
  const [x, y] = [of('offsetX') ?? of('locationX'), of('offsetY') ?? of('locationY')]
  return x === null || y === null ? null : { x, y }
}
