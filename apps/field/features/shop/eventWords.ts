import type { SecurityEvent } from '@jokulgale/contract/security'

const words: Readonly<Record<SecurityEvent['what'], string>> = {
  'signed-in': 'signed in',
  refused: 'was refused',
  'signed-out-everywhere': 'signed out everywhere else',
  'password-changed': 'has a new password',
  invited: 'invited',
  joined: 'joined',
  'link-made': 'made a password link for',
  'second-factor-on': 'turned a second factor on',
  'second-factor-off': 'turned a second factor off',
  'spare-code-used': 'came in by a spare code',
  'role-changed': 'changed the role of',
  closed: 'closed',
  erased: 'replaced the name of somebody who has left',
  exported: 'took away',
  'brought-in': 'brought the shop in from',
}

/** A security event as a sentence. */
export const eventWords = ({ person, what, about }: SecurityEvent): string =>
  [person ?? 'Somebody', words[what], about].filter(Boolean).join(' ')
