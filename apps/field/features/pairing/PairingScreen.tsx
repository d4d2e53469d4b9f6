import { useRouter } from 'expo-router'
import { useCallback, useEffect, useState } from 'react'
import type { Pairing } from '@jokulgale/contract/records'
import type { PairingMethod } from '@jokulgale/core/visit/entry'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { Words } from '../../ui/Words'
import { useAppSelector } from '../store'
import { request } from '../sync/request'
import { useSync } from '../sync/SyncContext'
import { Sketch } from './Sketch'

const methods: readonly { readonly id: PairingMethod; readonly words: string; readonly how: string }[] = [
  { id: 'fans-on', words: 'All fans on', how: 'Give every unit the fan call and see which one stays still.' },
  {
    id: 'tone',
    words: 'Tone on a pair',
    how: 'Power off. R–C reaches indoor, and outdoor only where R goes to a defrost control; Y–C outdoor; W–C indoor. Take the tone set off before power returns.',
  },
  {
    id: 'room-temperature',
    words: 'Room against set point',
    how: 'The unit that is losing has the room furthest from its set point.',
  },
]

/** Which thermostat belongs to which unit of a site, how that was found out, and where the units stand. */
export function PairingScreen({ siteId }: { readonly siteId: string }) {
  const router = useRouter()
  const sync = useSync()
  const places = useAppSelector((state) => state.places.places)
  const [pairing, setPairing] = useState<Pairing | null>(null)
  const [visit, setVisit] = useState('')
  const site = places?.sites.find(({ id }) => id === siteId)
  const units = (places?.units ?? []).filter((unit) => unit.site === siteId)
  const refresh = useCallback(() => {
    request<Pairing>('GET', `/sites/${siteId}/pairings`).then(setPairing, () => undefined)
  }, [siteId])
  useEffect(refresh, [refresh])
  if (!site)
    return (
      <Screen head={<Heading title="Site" back="/sites" />}>
        <Words>This site is not known here.</Words>
      </Screen>
    )
  const say = async (body: Parameters<typeof sync.say>[1]): Promise<void> => {
    // what is found out about a site is said in a visit to one of its units
    const home = visit || (await sync.startVisit(units[0].id))
    setVisit(home)
    await sync.say(home, body)
    await sync.send()
    refresh()
  }
  const shown = pairing ?? { pairs: [], steps: [], places: [] }
  return (
    <Screen head={<Heading title={site.name} below="Which thermostat, which unit" back="/sites" />}>
      <Part title="Proven pairs">
        {shown.pairs.length === 0 ? (
          <Words quiet>
            None yet. Once a pair is proven and labelled it stays here for every visit after.
          </Words>
        ) : null}
        {shown.pairs.map((pair) => (
          <Words
            key={pair.indoor}
          >{`${pair.label}: thermostat ${pair.thermostat} → ${[pair.indoor, pair.outdoor].filter(Boolean).join(' + ')}${pair.breaker ? `, breaker ${pair.breaker}` : ''}${pair.disconnect ? `, disconnect ${pair.disconnect}` : ''} (${pair.day})`}</Words>
        ))}
      </Part>
      <Sketch
        units={units}
        places={shown.places}
        onPlace={(of, x, y) => {
          void say({ kind: 'placed', of, x, y })
        }}
      />
      <FindOut
        steps={shown.steps}
        onStep={(method, of, outcome) => {
          void say({ kind: 'pairing-step', method, of, outcome })
        }}
      />
      <NewPair
        units={units.map(({ label }) => label)}
        onPair={(pair) => {
          void say({ kind: 'pairing', ...pair })
        }}
      />
      <Part title="Units">
        {units.map((unit) => (
          <Press
            key={unit.id}
            title={`${unit.label}: ${unit.place}`}
            onPress={() => {
              router.navigate(`/units/${unit.id}`)
            }}
          />
        ))}
      </Part>
    </Screen>
  )
}

function FindOut({
  steps,
  onStep,
}: {
  readonly steps: Pairing['steps']
  readonly onStep: (method: PairingMethod, of: string, outcome: string) => void
}) {
  const [method, setMethod] = useState<PairingMethod>('fans-on')
  const [of, setOf] = useState('')
  const [outcome, setOutcome] = useState('')
  return (
    <Part title="Find out">
      {steps.map((step, k) => (
        <Words
          key={k}
          size="small"
        >{`${step.day}: ${methods.find(({ id }) => id === step.method)?.words ?? step.method}, ${step.of}: ${step.outcome}`}</Words>
      ))}
      <Chips label="Method" options={methods} chosen={method} onChoose={setMethod} />
      <Notice kind={method === 'tone' ? 'caution' : 'plain'}>
        {methods.find(({ id }) => id === method)?.how ?? ''}
      </Notice>
      <Field label="Thermostat or pair" value={of} onChangeText={setOf} />
      <Field
        label="What answered"
        value={outcome}
        onChangeText={setOutcome}
        placeholder="RTU-2 still, all others ran"
      />
      <Press
        title="Record this step"
        disabled={of.trim() === '' || outcome.trim() === ''}
        onPress={() => {
          onStep(method, of.trim(), outcome.trim())
          setOutcome('')
        }}
      />
    </Part>
  )
}

interface NewPairProps {
  readonly units: readonly string[]
  readonly onPair: (pair: {
    thermostat: string
    indoor: string
    outdoor: string
    breaker: string
    disconnect: string
    label: string
  }) => void
}

function NewPair({ units, onPair }: NewPairProps) {
  const [thermostat, setThermostat] = useState('')
  const [indoor, setIndoor] = useState<string | null>(null)
  const [outdoor, setOutdoor] = useState('')
  const [breaker, setBreaker] = useState('')
  const [disconnect, setDisconnect] = useState('')
  return (
    <Part title="Proven: label it, for good">
      <Field label="Thermostat" value={thermostat} onChangeText={setThermostat} />
      <Chips
        label="Unit, or indoor section"
        options={units.map((label) => ({ id: label, words: label }))}
        chosen={indoor}
        onChoose={setIndoor}
      />
      <Field label="Outdoor section, where it has one" value={outdoor} onChangeText={setOutdoor} />
      <Field label="Breaker" value={breaker} onChangeText={setBreaker} />
      <Field label="Disconnect" value={disconnect} onChangeText={setDisconnect} />
      <Press
        kind="main"
        title="This pair is proven"
        disabled={thermostat.trim() === '' || indoor === null}
        onPress={() => {
          if (indoor)
            onPair({
              thermostat: thermostat.trim(),
              indoor,
              outdoor: outdoor.trim(),
              breaker: breaker.trim(),
              disconnect: disconnect.trim(),
              label: `${indoor} · ${thermostat.trim()}`,
            })
        }}
      />
    </Part>
  )
}
