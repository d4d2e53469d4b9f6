import { useState } from 'react'
import { forgottenSchema } from '@jokulgale/contract/people'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { request } from '../sync/request'

/** For whoever has forgotten their password: a link by letter, to the e-mail above. */
export function Forgotten({ email }: { readonly email: string }) {
  const [asked, setAsked] = useState('')
  const [problem, setProblem] = useState('')
  const ask = async (): Promise<void> => {
    const given = { email: email.trim() }
    if (!(await forgottenSchema.isValid(given))) {
      setProblem('Type your e-mail above first: the letter goes there.')
      return
    }
    setProblem('')
    await request('POST', '/forgotten', given)
    setAsked(given.email)
  }
  if (asked !== '')
    return (
      <Notice kind="plain">
        {`If ${asked} has an account here, a letter with a link is on its way. The link is good for a day.`}
      </Notice>
    )
  return (
    <>
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      <Press
        kind="quiet"
        title="Forgotten? Send me a link"
        onPress={() => {
          ask().catch((error: unknown) => {
            setProblem(error instanceof Error ? error.message : String(error))
          })
        }}
      />
    </>
  )
}
