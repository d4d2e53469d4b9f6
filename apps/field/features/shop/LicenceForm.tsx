import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { licenceSchema, type Licence } from '@jokulgale/contract/people'
import { FormField } from '../../ui/FormField'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { useSubmit } from '../session/useSubmit'
import { useSync } from '../sync/SyncContext'
import { request } from '../sync/request'

/** The number that one is licensed by: reports print it beside the name. */
export function LicenceForm({ licence }: Licence) {
  const sync = useSync()
  const form = useForm<Licence>({ resolver: yupResolver(licenceSchema), defaultValues: { licence } })
  const { submit, problem, busy } = useSubmit(form, async (given) => {
    await request('POST', '/licence', given)
    await sync.refresh()
  })
  return (
    <Part title="Your licence">
      <FormField control={form.control} name="licence" label="Licence number, as reports print it" />
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      <Press title="Keep it" label="Keep it: your licence number" busy={busy} onPress={submit} />
    </Part>
  )
}
