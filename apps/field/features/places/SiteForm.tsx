import { yupResolver } from '@hookform/resolvers/yup'
import { useRouter } from 'expo-router'
import { useForm } from 'react-hook-form'
import { object, string } from 'yup'
import { FormField } from '../../ui/FormField'
import { FormFoot } from '../../ui/FormFoot'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { useSubmit } from '../session/useSubmit'
import { useAppSelector } from '../store'
import { newId } from '../sync/newId'
import { useSync } from '../sync/SyncContext'
import { changesOf } from './changesOf'
import { OtherValues } from './OtherValues'

const siteSchema = object({
  name: string().trim().max(200, 'at most 200 letters').required('a site needs a name'),
  address: string().max(500, 'at most 500 letters').defined(),
  access: string().max(2000, 'at most 2,000 letters').defined(),
})

/** A site: made, or edited, with or without a signal. */
export function SiteForm({ id }: { readonly id: string | null }) {
  const sync = useSync()
  const router = useRouter()
  const sites = useAppSelector((state) => state.places.places?.sites ?? [])
  const site = sites.find((known) => known.id === id)
  const before = { name: site?.name ?? '', address: site?.address ?? '', access: site?.access ?? '' }
  const form = useForm({ resolver: yupResolver(siteSchema), defaultValues: before })
  const { submit, problem } = useSubmit(form, async (given) => {
    await sync.editPlace('site', id ?? newId(), changesOf(before, given))
    router.navigate('/sites')
  })
  return (
    <Screen
      head={<Heading title={site ? site.name : 'A new site'} back="/sites" />}
      foot={<FormFoot title={site ? 'Keep' : 'Add the site'} onPress={submit} />}
    >
      {id ? <OtherValues of="site" place={id} values={before} /> : null}
      <FormField control={form.control} name="name" label="Name of the site" />
      <FormField control={form.control} name="address" label="Address" />
      <FormField
        control={form.control}
        name="access"
        label="How to get in"
        multiline
        placeholder="Roof ladder in the loading bay; key at the front desk"
      />
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      {site ? (
        <Press
          title={site.archived ? 'Bring it back' : 'Archive this site'}
          onPress={() => {
            const archived = site.archived ? 'yes' : ''
            void sync.editPlace('site', site.id, [
              { field: 'archived', from: archived, to: site.archived ? '' : 'yes' },
            ])
            router.navigate('/sites')
          }}
        />
      ) : null}
    </Screen>
  )
}
