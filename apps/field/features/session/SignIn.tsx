import { yupResolver } from '@hookform/resolvers/yup'
import { useEffect, useState } from 'react'
import { useForm, useWatch } from 'react-hook-form'
import type { FrontDoor } from '@jokulgale/contract/people'
import { signInSchema, type SignIn as Given } from '@jokulgale/contract/session'
import { FormField } from '../../ui/FormField'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { request } from '../sync/request'
import { useSync } from '../sync/SyncContext'
import { UnsentNote } from '../sync/UnsentNote'
import { CodeField, EmailField } from './CredentialFields'
import { FirstShop } from './FirstShop'
import { Forgotten } from './Forgotten'
import { Threshold } from './Threshold'
import { useSubmit } from './useSubmit'

/** The way in: a sign-in, or on a server that has no shop yet, the form that makes it. */
export function SignIn() {
  const [door, setDoor] = useState<FrontDoor | null>(null)
  useEffect(() => {
    // with no answer it is a sign-in, which says so when it is tried
    request<FrontDoor>('GET', '/front-door').then(setDoor, () => undefined)
  }, [])
  return (
    <Threshold>
      <UnsentNote />
      {door?.isFirst ? <FirstShop /> : <SignInForm hasPost={door?.hasPost ?? false} />}
      {door?.isDemo ? (
        <Notice kind="plain">
          This server holds demonstration data: its accounts and passwords are public. Start with --empty for
          a shop of your own.
        </Notice>
      ) : null}
    </Threshold>
  )
}

function SignInForm({ hasPost }: Pick<FrontDoor, 'hasPost'>) {
  const sync = useSync()
  const form = useForm<Given>({
    resolver: yupResolver(signInSchema),
    defaultValues: { email: '', password: '', code: '' },
  })
  const email = useWatch({ control: form.control, name: 'email' })
  const { submit, problem, busy } = useSubmit(form, (given) =>
    sync.signIn({ ...given, email: given.email.trim() }),
  )
  const { code: codeProblem } = form.formState.errors
  // once asked for, it stays while the form is open
  const asksForCode = codeProblem !== undefined || form.getValues('code') !== ''
  return (
    <Stack gap="large">
      <Stack gap="small">
        <EmailField control={form.control} name="email" />
        <FormField
          control={form.control}
          name="password"
          label="Password"
          secureTextEntry
          autoComplete="current-password"
          onSubmitEditing={submit}
        />
      </Stack>
      {asksForCode ? <CodeField control={form.control} name="code" onDone={submit} /> : null}
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      <Press kind="main" title="Sign in" busy={busy} onPress={submit} />
      {hasPost ? <Forgotten email={email} /> : null}
    </Stack>
  )
}
