import type { Clock } from '@jokulgale/core/visit/clock'

/** A device's clock as a row keeps it. */
interface ClockColumns {
  readonly clockWall: number
  readonly clockCounter: number
  readonly clockDevice: string
}

export const clockOf = ({ clockWall, clockCounter, clockDevice }: ClockColumns): Clock => ({
  wall: clockWall,
  counter: clockCounter,
  device: clockDevice,
})

export const clockColumns = ({ wall, counter, device }: Clock): ClockColumns => ({
  clockWall: wall,
  clockCounter: counter,
  clockDevice: device,
})
