/** Reading calendars, behind a door of its own: few people ever bring one in. */
export { CalendarError, readCalendar } from '@jokulgale/core/formats/readCalendar'
