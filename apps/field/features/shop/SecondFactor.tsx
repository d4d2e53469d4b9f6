import { useState } from 'react'
import type { FactorState } from '@jokulgale/contract/secondFactor'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Words } from '../../ui/Words'
import { FactorBeginForm } from './FactorBeginForm'
import { FactorEndForm } from './FactorEndForm'
import { useAsked } from './useAsked'

/** A code of an authenticator besides the password: turned on, and off, by everybody for themselves. */
export function SecondFactor() {
  const { value: factor, ask } = useAsked<FactorState>('/second-factor')
  const [open, setOpen] = useState(false)
  if (!factor) return null
  const close = (): void => {
    setOpen(false)
    ask()
  }
  return (
    <Part title="Code of an authenticator">
      {open ? (
        <FactorForm isOn={factor.isOn} onDone={close} />
      ) : (
        <>
          <Standing factor={factor} />
          <Press
            title={factor.isOn ? 'Turn it off' : 'Turn it on'}
            label={`Turn it ${factor.isOn ? 'off' : 'on'}: the code of an authenticator`}
            onPress={() => {
              setOpen(true)
            }}
          />
        </>
      )}
    </Part>
  )
}

function Standing({ factor }: { readonly factor: FactorState }) {
  return (
    <>
      <Words size="small" quiet>
        {factor.isOn
          ? `On: a sign-in asks for a code besides the password. Spare codes left: ${factor.spareLeft}.`
          : 'Off: the password alone lets in. With it on, whoever has learned the password still stays out.'}
      </Words>
      {factor.isOn && factor.spareLeft < 3 ? (
        <Notice kind="caution">Few spare codes are left: turn it off and on again for new ones.</Notice>
      ) : null}
    </>
  )
}

const FactorForm = ({ isOn, onDone }: { readonly isOn: boolean; readonly onDone: () => void }) =>
  isOn ? <FactorEndForm onDone={onDone} /> : <FactorBeginForm onDone={onDone} />
