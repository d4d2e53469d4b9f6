import { yupResolver } from '@hookform/resolvers/yup'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { Linking } from 'react-native'
import {
  factorBeginSchema,
  factorConfirmSchema,
  inGroups,
  type FactorBegin,
  type FactorConfirm,
  type FactorOffer,
  type SpareCodes,
} from '@jokulgale/contract/secondFactor'
import { CopyPress } from '../../ui/CopyPress'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { CodeField, PresentPasswordField } from '../session/CredentialFields'
import { useSubmit } from '../session/useSubmit'
import { request } from '../sync/request'
import { QrCode } from './QrCode'

/** Password, then what the authenticator is to hold and its first code, then the spare codes. */
export function FactorBeginForm({ onDone }: { readonly onDone: () => void }) {
  const [offer, setOffer] = useState<FactorOffer | null>(null)
  const [spare, setSpare] = useState<SpareCodes | null>(null)
  if (spare) return <SpareCodesToKeep codes={spare.codes} onDone={onDone} />
  return offer ? <Confirm offer={offer} onConfirmed={setSpare} /> : <Begin onOffer={setOffer} />
}

function Begin({ onOffer }: { readonly onOffer: (offer: FactorOffer) => void }) {
  const form = useForm<FactorBegin>({
    resolver: yupResolver(factorBeginSchema),
    defaultValues: { password: '' },
  })
  const { submit, problem, busy } = useSubmit(form, async (given) => {
    onOffer(await request<FactorOffer>('POST', '/second-factor', given))
  })
  return (
    <>
      <PresentPasswordField control={form.control} name="password" onDone={submit} />
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      <Press kind="main" title="Go on" busy={busy} onPress={submit} />
    </>
  )
}

interface ConfirmProps {
  readonly offer: FactorOffer
  readonly onConfirmed: (spare: SpareCodes) => void
}

function Confirm({ offer, onConfirmed }: ConfirmProps) {
  const form = useForm<FactorConfirm>({
    resolver: yupResolver(factorConfirmSchema),
    defaultValues: { code: '' },
  })
  const { submit, problem, busy } = useSubmit(form, async (given) => {
    onConfirmed(await request<SpareCodes>('POST', '/second-factor/confirm', given))
  })
  return (
    <Stack gap="medium">
      <Words>
        Scan this with the authenticator, or type the key into it. Then type the code that it shows.
      </Words>
      <Stack align="center">
        <QrCode words="QR code of the key" modules={offer.modules} />
      </Stack>
      <Words selectable strong size="small">
        {inGroups(offer.secret)}
      </Words>
      <CopyPress title="Copy the key" text={offer.secret} />
      <Press
        title="Open the authenticator on this phone"
        onPress={() => {
          void Linking.openURL(offer.uri)
        }}
      />
      <CodeField control={form.control} name="code" onDone={submit} />
      {problem ? <Notice kind="wrong">{problem}</Notice> : null}
      <Press kind="main" title="Turn it on" busy={busy} onPress={submit} />
    </Stack>
  )
}

interface SpareCodesProps {
  readonly codes: readonly string[]
  readonly onDone: () => void
}

function SpareCodesToKeep({ codes, onDone }: SpareCodesProps) {
  return (
    <>
      <Notice kind="good">It is on.</Notice>
      <Words>
        Keep these apart from this phone: each lets you in once, should the authenticator be lost. They are
        not shown again.
      </Words>
      <Words selectable strong>
        {codes.join('\n')}
      </Words>
      <CopyPress title="Copy the spare codes" text={codes.join('\n')} />
      <Press kind="main" title="I have kept them" onPress={onDone} />
    </>
  )
}
