/**
 * Middle of the opening times of a device by multiples of its rating: [multiple, seconds], rising in the
 * multiple.
 */
type OpeningTimes = readonly (readonly [multiple: number, seconds: number])[]

/**
 * What opens by too much current, as its kind takes its time: a small quick fuse, a fuse that lets motors
 * start, a breaker.
 */
export type OpeningCurve = 'fuse' | 'time-delay-fuse' | 'breaker'

/**
 * Blade and small cartridge fuses (ISO 8820-3); time-delay fuses (UL 248: 135 % within an hour, at least ten
 * seconds at 500 %); moulded-case breakers (UL 489: 135 % within an hour, 200 % within two minutes,
 * instantaneous from five to ten times).
 */
const openingTimes: Readonly<Record<OpeningCurve, OpeningTimes>> = {
  fuse: [
    [1.35, 60],
    [2, 1.2],
    [3.5, 0.15],
    [6, 0.05],
  ],
  'time-delay-fuse': [
    [1.35, 1200],
    [2, 90],
    [5, 14],
    [8, 1],
    [12, 0.1],
    [18, 0.01],
  ],
  breaker: [
    [1.35, 1200],
    [2, 45],
    [4, 8],
    [8, 0.1],
    [12, 0.02],
  ],
}

/**
 * Seconds that a device takes to open at a multiple of its rating; Infinity below the first that is sure to
 * open it.
 */
export function openingSeconds(device: OpeningCurve, multiple: number): number {
  const times = openingTimes[device]
  if (multiple < times[0][0]) return Infinity
  for (let k = 1; k < times.length; k++) {
    const [high, highSeconds] = times[k]
    if (multiple > high) continue
    const [low, lowSeconds] = times[k - 1]
    const share = Math.log(multiple / low) / Math.log(high / low)
    return Math.exp(Math.log(lowSeconds) + share * Math.log(highSeconds / lowSeconds))
  }
  return beyond(device, multiple)
}

/**
 * A link that melts at once has no time to cool: it goes with the square of the current. What a breaker's
 * spring and contacts need stays.
 */
function beyond(device: OpeningCurve, multiple: number): number {
  const times = openingTimes[device]
  const [last, seconds] = times[times.length - 1]
  return device === 'breaker' ? seconds : seconds * (last / multiple) ** 2
}
