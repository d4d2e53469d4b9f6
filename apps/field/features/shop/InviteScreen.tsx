import { yupResolver } from '@hookform/resolvers/yup'
import { useState } from 'react'
import { Controller, useForm, useWatch } from 'react-hook-form'
import { invitationSchema, roles, type Invitation, type MadeLink } from '@jokulgale/contract/people'
import { Chips } from '../../ui/Chips'
import { FormField } from '../../ui/FormField'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { Words } from '../../ui/Words'
import { useSubmit } from '../session/useSubmit'
import { useAppSelector } from '../store'
import { request } from '../sync/request'
import { LinkToHand } from './LinkToHand'
import { roleWords } from './roleWords'

/** Invites somebody: who, as what, and the link to hand on. */
export function InviteScreen() {
  const sites = useAppSelector((state) => state.places.places?.sites ?? [])
  const [link, setLink] = useState<MadeLink | null>(null)
  const form = useForm<Invitation>({
    resolver: yupResolver(invitationSchema),
    defaultValues: { name: '', email: '', role: 'technician', site: '' },
  })
  const { submit, problem, busy } = useSubmit(form, async (given) => {
    const site = given.role === 'reader' ? given.site : ''
    setLink(await request<MadeLink>('POST', '/people/invitations', { ...given, site }))
  })
  const role = useWatch({ control: form.control, name: 'role' })
  return (
    <Screen head={<Heading title="Invite somebody" back="/shop" />}>
      <FormField control={form.control} name="name" label="Name" />
      <FormField control={form.control} name="email" label="E-mail" autoCapitalize="none" inputMode="email" />
      <Part title="May do">
        <Controller
          control={form.control}
          name="role"
          render={({ field }) => (
            <Chips
              label="Role"
              options={roles.map((id) => ({ id, words: roleWords[id] }))}
              chosen={field.value}
              onChoose={field.onChange}
            />
          )}
        />
        <Words size="small" quiet>
          {roleHelp[role]}
        </Words>
      </Part>
      {role === 'reader' ? (
        <Part title="Which site">
          <Controller
            control={form.control}
            name="site"
            render={({ field, fieldState }) => (
              <>
                <Chips
                  label="Site"
                  options={sites.map(({ id, name }) => ({ id, words: name }))}
                  chosen={field.value}
                  onChoose={field.onChange}
                />
                {fieldState.error?.message ? <Notice kind="wrong">{fieldState.error.message}</Notice> : null}
              </>
            )}
          />
        </Part>
      ) : null}
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      {link ? (
        <LinkToHand link={link} />
      ) : (
        <Press kind="main" title="Make the link" busy={busy} onPress={submit} />
      )}
    </Screen>
  )
}

const roleHelp: Readonly<Record<Invitation['role'], string>> = {
  owner: 'Everything, people and their roles included.',
  lead: 'All the work, and sees who is in the shop.',
  technician: 'Takes calls, measures, repairs, signs off; makes and edits sites and units.',
  reader: 'Looks at the calls, units and reports of one site; changes nothing.',
}
