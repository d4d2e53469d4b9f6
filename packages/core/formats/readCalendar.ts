import ICAL from 'ical.js'

/** A day in a calendar. */
export interface CalendarDay {
  readonly uid: string
  readonly words: string
  /** `2026-12-05`. */
  readonly day: string
}

/** A calendar that cannot be used, in words: what, where, and what to do. */
export class CalendarError extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'CalendarError'
  }
}

/** Longer than any list of reminders. */
const most = { letters: 2_000_000, lines: 20_000, events: 2000 } as const

/** Reads the events of an iCalendar file (RFC 5545), each by the day on which it begins. Throws CalendarError. */
export function readCalendar(text: string): readonly CalendarDay[] {
  if (text.length > most.letters) throw new CalendarError('this file is too long for a calendar of reminders')
  const lines = text.split('\n')
  if (!/^BEGIN:VCALENDAR\s*$/i.test(lines[0].replace(/^\uFEFF/, '')))
    throw new CalendarError('line 1: a calendar begins with BEGIN:VCALENDAR; keep it as an .ics file')
  if (lines.length > most.lines) throw new CalendarError(`a calendar of more than ${most.lines} lines`)
  const events = eventsOf(text.replace(/^\uFEFF/, ''))
  if (events.length > most.events) throw new CalendarError(`more than ${most.events} events in one calendar`)
  return events.map(dayOf)
}

function eventsOf(text: string): readonly ICAL.Component[] {
  try {
    return new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent')
  } catch (error) {
    throw unreadable(error)
  }
}

const unreadable = (error: unknown): CalendarError =>
  new CalendarError(
    `this is no calendar that can be read: ${error instanceof Error ? error.message : String(error)}`,
  )

function dayOf(event: ICAL.Component, k: number): CalendarDay {
  const uid = wordsOf(event, 'uid')
  const words = wordsOf(event, 'summary')
  const name = `event ${k + 1}${words ? `, ${words}` : ''}`
  if (event.getFirstProperty('rrule') !== null)
    throw new CalendarError(`${name}: it repeats; give it one day`)
  const day = isoDay(event)
  if (day === null) throw new CalendarError(`${name}: it has no day (DTSTART) that there is`)
  return { uid, words, day }
}

function wordsOf(event: ICAL.Component, property: string): string {
  const value = event.getFirstPropertyValue(property)
  return typeof value === 'string' ? value : ''
}

/** The day as it is written, whatever its hour: a reminder is of a day where the unit stands. */
function isoDay(event: ICAL.Component): string | null {
  const written: unknown = event.getFirstProperty('dtstart')?.toJSON()[3]
  const [day] = /^\d{4}-\d{2}-\d{2}/.exec(String(written)) ?? []
  if (day === undefined) return null
  const time = Date.parse(`${day}T00:00:00Z`)
  // a 31st of February is no day
  return !Number.isNaN(time) && new Date(time).toISOString().startsWith(day) ? day : null
}
