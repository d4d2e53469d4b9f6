import type { Of } from '@jokulgale/core/visit/fold'

/** What a picture shows: a part or thing by name, an entry of the visit, what is said of it. */
export type PhotoOf = Pick<Of<'photo'>, 'of' | 'on' | 'words'>
