import type { Link, OpenLink } from '@jokulgale/contract/people'
import type { Letter } from './post'

/** What a letter with a link in it is made of. */
export interface LinkLetter {
  readonly is: OpenLink['is']
  readonly name: string
  readonly email: string
  readonly shop: string
  readonly link: Link
}

/** The letter that brings somebody a link; `address` is where the application is. */
export function letterWithLink({ is, name, email, shop, link }: LinkLetter, address: string): Letter {
  const [subject, opening] =
    is === 'invitation'
      ? [`${shop} invites you to Jokulgale`, `${shop} has made you an account in Jokulgale.`]
      : ['A new password for Jokulgale', `A new password was asked for your account at ${shop}.`]
  const until = `${link.expiresAt.slice(0, 16).replace('T', ' ')} UTC`
  return {
    to: email,
    subject,
    text: [
      `Hello ${name},`,
      `${opening} Choose a password here:`,
      `${address}${link.path}`,
      `The link is good once, until ${until}. If you did not expect this letter, do nothing.`,
    ].join('\n\n'),
  }
}
