/** A measure that is to come off on a day, and its event in a calendar. */
interface DueMeasure {
  readonly id: string
  readonly left: { readonly expires: string } | null
}

/** A measure whose day is another in a calendar that somebody has changed. */
export interface NewDay<Measure> {
  readonly measure: Measure
  readonly was: string
  readonly day: string
}

/** The identity under which a measure stands in a calendar. */
export const calendarUid = (measureId: string): string => `${measureId}@jokulgale`

/** Measures that are due on another day by a calendar than by the register; what is in only one stays. */
export function newDays<Measure extends DueMeasure>(
  measures: readonly Measure[],
  days: readonly { readonly uid: string; readonly day: string }[],
): readonly NewDay<Measure>[] {
  const dayOf = new Map(days.map(({ uid, day }) => [uid, day]))
  return measures.flatMap((measure) => {
    const day = dayOf.get(calendarUid(measure.id))
    const was = measure.left?.expires
    return day === undefined || was === undefined || day === was ? [] : [{ measure, was, day }]
  })
}
