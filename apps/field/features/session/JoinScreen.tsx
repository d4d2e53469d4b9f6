import { yupResolver } from '@hookform/resolvers/yup'
import { useRouter } from 'expo-router'
import { useEffect, useState } from 'react'
import { useForm } from 'react-hook-form'
import { View } from 'react-native'
import { linkUseSchema, type LinkUse, type OpenLink } from '@jokulgale/contract/people'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { request } from '../sync/request'
import { useSync } from '../sync/SyncContext'
import { CodeField, NewPasswordField } from './CredentialFields'
import { Threshold } from './Threshold'
import { useSubmit } from './useSubmit'

/** What a link opens: joining a shop, or a new password. */
export function JoinScreen({ token }: { readonly token: string }) {
  const [link, setLink] = useState<OpenLink | null>(null)
  const [problem, setProblem] = useState('')
  const router = useRouter()
  useEffect(() => {
    request<OpenLink>('GET', `/links/${token}`).then(setLink, (error: unknown) => {
      setProblem(error instanceof Error ? error.message : String(error))
    })
  }, [token])
  return (
    <Threshold>
      {problem ? (
        <>
          <Notice kind="wrong">{problem}</Notice>
          <Press
            title="To the calls"
            onPress={() => {
              router.replace('/')
            }}
          />
        </>
      ) : null}
      {link ? <LinkForm token={token} link={link} /> : null}
    </Threshold>
  )
}

function LinkForm({ token, link }: { readonly token: string; readonly link: OpenLink }) {
  const sync = useSync()
  const router = useRouter()
  const isNew = link.is === 'invitation'
  const form = useForm<LinkUse>({
    resolver: yupResolver(linkUseSchema),
    defaultValues: { password: '', code: '' },
  })
  const { submit, problem, busy } = useSubmit(form, async (given) => {
    await sync.useLink(token, given)
    router.replace('/')
  })
  return (
    <Stack gap="large">
      <View>
        <Words size="lead" strong role="heading" aria-level={2}>
          {isNew ? `Join ${link.shop}` : 'Choose a new password'}
        </Words>
        <Words quiet>{`${link.name}, ${link.email}`}</Words>
      </View>
      <NewPasswordField control={form.control} name="password" onDone={submit} />
      {link.needsCode ? <CodeField control={form.control} name="code" onDone={submit} /> : null}
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      <Press kind="main" title={isNew ? 'Join' : 'Set the password'} busy={busy} onPress={submit} />
    </Stack>
  )
}
