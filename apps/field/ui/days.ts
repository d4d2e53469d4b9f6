type Time = number | string | Date

const inWords = (time: Time, options: Intl.DateTimeFormatOptions): string =>
  new Date(time).toLocaleString('en-GB', options)

/** “27 November 2026” */
export const dayWords = (time: Time): string =>
  inWords(time, { day: 'numeric', month: 'long', year: 'numeric' })

/** “27 November”: a day of these weeks. */
export const nearDayWords = (time: Time): string => inWords(time, { day: 'numeric', month: 'long' })

/** “Nov 2026” */
export const monthWords = (time: Time): string => inWords(time, { month: 'short', year: 'numeric' })

/** “27 Nov, 08:30” */
export const momentWords = (time: Time): string =>
  inWords(time, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
