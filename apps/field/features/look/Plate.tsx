import { useEffect, useState } from 'react'
import { pointName } from '@jokulgale/core/diagram/diagram'
import { display } from '@jokulgale/core/circuit/meters'
import type { PlatePair } from '@jokulgale/core/visit/plate'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { Words } from '../../ui/Words'
import { diagnosisService } from '../../workers/diagnosis'
import { NumberPad } from '../pad/NumberPad'
import type { OpenVisit } from '../visit/useVisit'

/** Ohms pair by pair at the thermostat plate, power off: which conductor looks like what. */
export function Plate({ visit }: { readonly visit: OpenVisit }) {
  const { state, ladder, say } = visit
  const [open, setOpen] = useState(false)
  const [pairs, setPairs] = useState<readonly PlatePair[] | null>(null)
  const [asked, setAsked] = useState<PlatePair | null>(null)
  useEffect(() => {
    if (open && pairs === null)
      void diagnosisService()
        .plate(ladder)
        .then(setPairs, () => {
          setPairs([])
        })
  }, [open, pairs, ladder])
  const read = ({ from, to }: PlatePair): number | null | undefined =>
    state.readings.filter(({ body }) => body.meter === 'ohms' && body.from === from && body.to === to).at(-1)
      ?.body.value
  return (
    <Part title="Conductors at the thermostat plate">
      <Press
        title="Ohms pair by pair"
        onPress={() => {
          setOpen(true)
        }}
      />
      <Sheet
        title={asked ? `${asked.from} to ${asked.to}` : 'At the thermostat plate'}
        open={open}
        onClose={() => {
          setAsked(null)
          setOpen(false)
        }}
      >
        {state.power === 'isolated' ? null : (
          <Words>Only with the unit isolated and proven dead. Set the power state first.</Words>
        )}
        {asked ? (
          <NumberPad
            unit="Ω"
            overload
            onDone={(value) => {
              void say({ kind: 'reading', meter: 'ohms', from: asked.from, to: asked.to, value })
              setAsked(null)
            }}
          />
        ) : (
          (pairs ?? []).map((pair) => {
            const value = read(pair)
            return (
              <Press
                key={`${pair.from} ${pair.to}`}
                disabled={state.power !== 'isolated'}
                onPress={() => {
                  setAsked(pair)
                }}
                title={`${pair.from} to ${pointName(pair.to)}: ${value === undefined ? '' : `${display(value, 'ohms')}, `}should ${display(pair.expected, 'ohms')}`}
              />
            )
          })
        )}
        <Words size="small" quiet>
          A back-feed through other coils reads in parallel: lower than the coil alone.
        </Words>
      </Sheet>
    </Part>
  )
}
