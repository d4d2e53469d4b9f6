import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { factorEndSchema, type FactorEnd } from '@jokulgale/contract/secondFactor'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { CodeField, PresentPasswordField } from '../session/CredentialFields'
import { useSubmit } from '../session/useSubmit'
import { request } from '../sync/request'

/** Turns the second factor off, with the password and a code. */
export function FactorEndForm({ onDone }: { readonly onDone: () => void }) {
  const form = useForm<FactorEnd>({
    resolver: yupResolver(factorEndSchema),
    defaultValues: { password: '', code: '' },
  })
  const { submit, problem, busy } = useSubmit(form, async (given) => {
    await request('POST', '/second-factor/end', given)
    onDone()
  })
  return (
    <>
      <PresentPasswordField control={form.control} name="password" />
      <CodeField control={form.control} name="code" onDone={submit} />
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      <Press kind="main" title="Turn it off" busy={busy} onPress={submit} />
    </>
  )
}
