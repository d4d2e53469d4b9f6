import { yupResolver } from '@hookform/resolvers/yup'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { passwordChangeSchema, type PasswordChange } from '@jokulgale/contract/people'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { NewPasswordField, PresentPasswordField } from '../session/CredentialFields'
import { useSubmit } from '../session/useSubmit'
import { request } from '../sync/request'

/** A new password with the old one; the other devices are signed out by it. */
export function PasswordForm() {
  const [open, setOpen] = useState(false)
  const [done, setDone] = useState(false)
  const form = useForm<PasswordChange>({
    resolver: yupResolver(passwordChangeSchema),
    defaultValues: { before: '', password: '' },
  })
  const { submit, problem, busy } = useSubmit(form, async (given) => {
    await request('POST', '/password', given)
    form.reset()
    setDone(true)
    setOpen(false)
  })
  return (
    <Part title="Your password">
      {done ? <Notice kind="good">Changed. Your other devices are signed out.</Notice> : null}
      {open ? (
        <>
          <PresentPasswordField control={form.control} name="before" />
          <NewPasswordField
            control={form.control}
            name="password"
            label="New password, ten letters or more"
            onDone={submit}
          />
          {problem ? <Notice kind="wrong">{problem}</Notice> : null}
          <Press kind="main" title="Change the password" busy={busy} onPress={submit} />
        </>
      ) : (
        <Press
          title="Change it"
          label="Change it: your password"
          onPress={() => {
            setOpen(true)
            setDone(false)
          }}
        />
      )}
    </Part>
  )
}
