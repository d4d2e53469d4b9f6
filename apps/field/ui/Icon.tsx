import Feather from '@expo/vector-icons/Feather'
import type { ComponentProps } from 'react'

type IconProps = {
  readonly name: ComponentProps<typeof Feather>['name']
  readonly color: string
  readonly size?: number
}

/** An icon of the one set that ships with the application; never the only carrier of a meaning. */
export const Icon = ({ name, color, size = 24 }: IconProps) => (
  <Feather name={name} size={size} color={color} aria-hidden />
)
