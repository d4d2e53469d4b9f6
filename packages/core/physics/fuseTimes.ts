/** Middle of the opening times of a device by multiples of its rating: [multiple, seconds], rising in the multiple. */
type OpeningTimes = readonly (readonly [multiple: number, seconds: number])[]

/**
 * Blade and small cartridge fuses (ISO 8820-3); moulded-case breakers (UL 489: 135 % within an hour, 200 % within two
 * minutes, instantaneous from five to ten times).
 */
const openingTimes: Readonly<Record<'fuse' | 'breaker', OpeningTimes>> = {
  fuse: [
    [1.35, 60],
    [2, 1.2],
    [3.5, 0.15],
    [6, 0.05],
  ],
  breaker: [
    [1.35, 1200],
    [2, 45],
    [4, 8],
    [8, 0.1],
    [12, 0.02],
  ],
}

/** Seconds that a device takes to open at a multiple of its rating; Infinity below the first that is sure to open it. */
export function openingSeconds(device: 'fuse' | 'breaker', multiple: number): number {
  const times = openingTimes[device]
  if (multiple < times[0][0]) return Infinity
  for (let k = 1; k < times.length; k++) {
    const [high, highSeconds] = times[k]
    if (multiple > high) continue
    const [low, lowSeconds] = times[k - 1]
    const share = Math.log(multiple / low) / Math.log(high / low)
    return Math.exp(Math.log(lowSeconds) + share * Math.log(highSeconds / lowSeconds))
  }
  return times[times.length - 1][1]
}
