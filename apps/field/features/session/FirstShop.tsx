import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { View } from 'react-native'
import { newShopSchema, type NewShop } from '@jokulgale/contract/people'
import { FormField } from '../../ui/FormField'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { useSync } from '../sync/SyncContext'
import { EmailField, NewPasswordField } from './CredentialFields'
import { useSubmit } from './useSubmit'

/** The first start: whoever comes first makes the shop and owns it. */
export function FirstShop() {
  const sync = useSync()
  const form = useForm<NewShop>({
    resolver: yupResolver(newShopSchema),
    defaultValues: { shop: '', name: '', email: '', password: '' },
  })
  const { control } = form
  const { submit, problem, busy } = useSubmit(form, sync.makeShop)
  return (
    <Stack gap="large">
      <View>
        <Words size="lead" strong role="heading" aria-level={2}>
          Make your shop
        </Words>
        <Words quiet>Nobody has one here yet. You will own it, and invite the others.</Words>
      </View>
      <Stack gap="small">
        <FormField control={control} name="shop" label="Name of the shop" />
        <FormField control={control} name="name" label="Your name" autoComplete="name" />
        <EmailField control={control} name="email" />
        <NewPasswordField control={control} name="password" onDone={submit} />
      </Stack>
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      <Press kind="main" title="Make the shop" busy={busy} onPress={submit} />
    </Stack>
  )
}
