import { roles, type Role } from '@jokulgale/contract/people'

/**
 * How the one site of a reader is found in a request: by what its address names, or the answer leaves out
 * the rest.
 */
export type ReachesSiteBy = 'visit' | 'unit' | 'site' | 'photo' | 'filter' | 'none'

export interface Access {
  readonly roles: readonly Role[]
  readonly reaches: ReachesSiteBy
  /** Also for a device whose person has signed out, to send what is unsent. */
  readonly forSending?: true
}

const everybody = (reaches: ReachesSiteBy): Access => ({ roles, reaches })
const workers: Access = { roles: ['owner', 'lead', 'technician'], reaches: 'none' }
const senders: Access = { ...workers, forSending: true }
const owners: Access = { roles: ['owner'], reaches: 'none' }

/**
 * Who may ask for what. An address that is not here is not there: nothing can be reached by being
 * forgotten.
 */
export const access: Readonly<Record<string, Access>> = {
  'GET /board': everybody('filter'),
  'GET /places': everybody('filter'),
  'GET /diagrams/:id': everybody('none'),
  'GET /diagrams/:id/drawing.pdf': everybody('none'),
  'GET /temporary': everybody('filter'),
  'GET /search': everybody('filter'),
  'GET /temporary.ics': everybody('filter'),
  'GET /visits/:id': everybody('visit'),
  'GET /visits/:id/entries': everybody('visit'),
  'GET /visits/:id/report.pdf': everybody('visit'),
  'GET /visits/:id/report.csv': everybody('visit'),
  'GET /visits/:id/report.json': everybody('visit'),
  'GET /units/:id/visits': everybody('unit'),
  'GET /units/:id/record': everybody('unit'),
  'GET /units/:id/panel': everybody('unit'),
  'GET /sites/:id/pairings': everybody('site'),
  'GET /photos/:id': everybody('photo'),
  'GET /devices': everybody('none'),
  'DELETE /devices': everybody('none'),
  'POST /password': everybody('none'),
  'GET /second-factor': everybody('none'),
  'POST /second-factor': everybody('none'),
  'POST /second-factor/confirm': everybody('none'),
  'POST /second-factor/end': everybody('none'),
  'POST /licence': workers,
  'GET /experience': workers,
  'POST /visits': senders,
  'POST /entries': senders,
  'PUT /photos/:id': senders,
  'POST /place-edits': senders,
  'POST /diagrams': senders,
  'POST /send-credential': workers,
  'DELETE /send-credential': senders,
  'GET /labels.pdf': workers,
  'GET /people': { roles: ['owner', 'lead'], reaches: 'none' },
  'POST /people/invitations': owners,
  'POST /people/:id/role': owners,
  'POST /people/:id/close': owners,
  'POST /people/:id/erase': owners,
  'POST /people/:id/password-link': owners,
  'POST /people/:id/second-factor-end': owners,
  'GET /security': owners,
  'GET /shop/archive.zip': owners,
}

interface Pattern {
  readonly method: string
  readonly segments: readonly string[]
  readonly access: Access
}

const patterns: readonly Pattern[] = Object.entries(access).map(([address, given]) => {
  const [method, path] = address.split(' ')
  return { method, segments: path.split('/'), access: given }
})

export interface Reached extends Access {
  /** What the address names, where it names something. */
  readonly id: string | null
}

/** What is known of an address; null: there is nothing. */
export function accessTo(method: string, path: string): Reached | null {
  // no name of anything has such a character, and no database keeps it
  if (/%00|\0/.test(path)) return null
  const segments = path.replace(/\/$/, '').split('/')
  const found = patterns.find(
    (pattern) =>
      pattern.method === (method === 'HEAD' ? 'GET' : method) &&
      pattern.segments.length === segments.length &&
      pattern.segments.every((segment, k) => segment.startsWith(':') || segment === segments[k]),
  )
  if (!found) return null
  const at = found.segments.findIndex((segment) => segment.startsWith(':'))
  return { ...found.access, id: at < 0 ? null : segments[at] }
}
