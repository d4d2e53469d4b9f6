import { useState } from 'react'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { dialsOf, dialValue, type UnitDial } from '@jokulgale/core/diagram/dials'
import { entryWords } from '@jokulgale/core/visit/entryWords'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'

const withUnit = (words: string, unit = ''): string => (unit === '' ? words : `${words}, ${unit}`)

interface DialFieldProps {
  readonly label: string
  readonly dial: UnitDial
  readonly value: string
  readonly onChange: (value: string) => void
  readonly autoFocus?: boolean
}

/** Where a dial stands: one of its marks or choices where it shows such, else typed. */
function DialField({ label, dial, value, onChange, autoFocus }: DialFieldProps) {
  const options = dial.choices ?? []
  if (options.length === 0)
    return (
      <Field label={withUnit(label, dial.unit)} value={value} onChangeText={onChange} autoFocus={autoFocus} />
    )
  return (
    <>
      <Words>{label}</Words>
      <Chips label={label} options={options} chosen={value} onChoose={onChange} />
    </>
  )
}

/** A dial with what the diagram has it at. */
const asDrawn = (diagram: Diagram, { id, words, drawn, isFree }: UnitDial): string =>
  `${words}, ${isFree ? 'taken at' : 'should be'} ${dialValue(diagram, id, drawn)}`

/** A setting changed, from what to what: thermostat set-up, changeover, delays. */
export function SettingForm({ visit: { diagram, state, say } }: { readonly visit: OpenVisit }) {
  const [isOpen, setIsOpen] = useState(false)
  const [dial, setDial] = useState<UnitDial | null>(null)
  const close = (): void => {
    setDial(null)
    setIsOpen(false)
  }
  return (
    <Part title="Settings changed">
      {state.settings.map(({ entry, body }) => (
        <Words key={entry.id}>{entryWords(body, diagram)}</Words>
      ))}
      {!isOpen ? (
        <Press
          title="A setting was changed"
          onPress={() => {
            setIsOpen(true)
          }}
        />
      ) : dial === null ? (
        <>
          {dialsOf(diagram).map((option) => (
            <Press
              key={option.id}
              title={asDrawn(diagram, option)}
              onPress={() => {
                setDial(option)
              }}
            />
          ))}
          <Press kind="quiet" title="None was changed" onPress={close} />
        </>
      ) : (
        <ChangeForm
          dial={dial}
          onRecord={(from, to) => {
            void say({ kind: 'setting', of: dial.id, from, to })
            close()
          }}
          onCancel={() => {
            setDial(null)
          }}
        />
      )}
    </Part>
  )
}

interface ChangeFormProps {
  readonly dial: UnitDial
  readonly onRecord: (from: string, to: string) => void
  readonly onCancel: () => void
}

/** Where a dial was found, and where it was set to. */
function ChangeForm({ dial, onRecord, onCancel }: ChangeFormProps) {
  const [from, setFrom] = useState('')
  const [to, setTo] = useState(dial.drawn)
  return (
    <>
      <Words strong>{dial.words}</Words>
      <DialField
        label="Found at"
        dial={dial}
        value={from}
        onChange={(found) => {
          setFrom(found)
          // what is nobody's mistake is left as it was found
          if (dial.isFree) setTo(found)
        }}
        autoFocus
      />
      <DialField label="Set to" dial={dial} value={to} onChange={setTo} />
      <Press
        kind="main"
        title="Record the change"
        disabled={from.trim() === '' || to.trim() === ''}
        onPress={() => {
          onRecord(from.trim(), to.trim())
        }}
      />
      <Press kind="quiet" title="Not this one" onPress={onCancel} />
    </>
  )
}
