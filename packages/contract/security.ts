/** Something that an owner may want to look up later: who came in, who was refused, what changed of people. */
export interface SecurityEvent {
  readonly what:
    | 'signed-in'
    | 'refused'
    | 'signed-out-everywhere'
    | 'password-changed'
    | 'invited'
    | 'joined'
    | 'link-made'
    | 'second-factor-on'
    | 'second-factor-off'
    | 'spare-code-used'
    | 'role-changed'
    | 'closed'
    | 'erased'
    | 'exported'
    | 'brought-in'
  readonly about: string
  readonly person: string | null
  readonly at: string
}
