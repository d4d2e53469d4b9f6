import { newDays, calendarUid } from '../visit/newDays'
import { CalendarError, readCalendar } from './readCalendar'

const calendar = (...events: readonly (readonly string[])[]): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:any',
    ...events.flatMap((lines) => ['BEGIN:VEVENT', ...lines, 'END:VEVENT']),
    'END:VCALENDAR',
  ].join('\r\n')

test('each event by the day on which it begins, whole day or at an hour, with folded lines', () => {
  expect(
    readCalendar(
      calendar(
        ['UID:a@jokulgale', 'SUMMARY:Take off: Test bridge\\, LPS1', 'DTSTART;VALUE=DATE:20261205'],
        ['UID:b', 'SUMMARY:Call the', '  building', 'DTSTART;TZID=Somewhere/Else:20261209T233000'],
        ['UID:c', 'DTSTART:20261210T003000Z'],
      ),
    ),
  ).toEqual([
    { uid: 'a@jokulgale', words: 'Take off: Test bridge, LPS1', day: '2026-12-05' },
    { uid: 'b', words: 'Call the building', day: '2026-12-09' },
    { uid: 'c', words: '', day: '2026-12-10' },
  ])
})

test.each([
  ['no calendar', 'from,to\nA,B', /line 1: a calendar begins with BEGIN:VCALENDAR/],
  ['cut off', 'BEGIN:VCALENDAR\nBEGIN:VEVENT\nUID', /no calendar that can be read/],
  [
    'a day that is none',
    calendar(['UID:a', 'SUMMARY:Off', 'DTSTART;VALUE=DATE:20260231']),
    /event 1, Off: .* no day/,
  ],
  ['no day', calendar(['UID:a']), /event 1: it has no day/],
  ['one that repeats', calendar(['UID:a', 'DTSTART:20261205T100000', 'RRULE:FREQ=DAILY']), /it repeats/],
])('%s is refused, and says why', (_, text, why) => {
  expect(() => readCalendar(text)).toThrow(CalendarError)
  expect(() => readCalendar(text)).toThrow(why)
})

test('only what stands in both and differs has a new day', () => {
  const measures = [
    { id: 'moved', left: { expires: '2026-12-05' } },
    { id: 'same', left: { expires: '2026-12-05' } },
    { id: 'not-said', left: null },
    { id: 'elsewhere', left: { expires: '2026-12-05' } },
  ]
  const days = [
    { uid: calendarUid('moved'), day: '2026-12-12' },
    { uid: calendarUid('same'), day: '2026-12-05' },
    { uid: calendarUid('not-said'), day: '2026-12-12' },
    { uid: 'somebody’s birthday', day: '2026-12-24' },
  ]
  expect(newDays(measures, days)).toEqual([{ measure: measures[0], was: '2026-12-05', day: '2026-12-12' }])
})
