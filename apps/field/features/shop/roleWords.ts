import type { Role } from '@jokulgale/contract/people'

export const roleWords: Readonly<Record<Role, string>> = {
  owner: 'owner',
  lead: 'lead',
  technician: 'technician',
  reader: 'reader of one site',
}
