import { useState } from 'react'
import { supplyChoices } from '@jokulgale/core/visit/supplyChoices'
import { supplyProblems } from '@jokulgale/core/visit/visitState'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Sheet } from '../../ui/Sheet'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'

/** Which supply the building brings, as a meter shows it; as drawn until somebody says otherwise. */
export function SupplyFound({ visit }: { readonly visit: OpenVisit }) {
  const [open, setOpen] = useState(false)
  const { diagram, state, bodies, say } = visit
  const choices = supplyChoices(diagram)
  const [drawn] = choices
  const found = bodies.findLast((body) => body.kind === 'supply')?.system ?? null
  if (!drawn) return null
  const close = (): void => {
    setOpen(false)
  }
  return (
    <>
      {supplyProblems(state, diagram).map((problem) => (
        <Notice key={problem} kind="wrong">
          {problem}
        </Notice>
      ))}
      <Press
        title={found === null ? `Supply: ${drawn.system}, as drawn` : `Supply: ${found}, as found`}
        onPress={() => {
          setOpen(true)
        }}
      />
      <Sheet title="Which supply is this?" open={open} onClose={close}>
        <Notice kind="caution">
          Live: rated meter and gloves, one hand. Each leg to each other, and each to ground.
        </Notice>
        {choices.map(({ system, words }) => (
          <Press
            key={system}
            title={words}
            selected={system === (found ?? drawn.system)}
            onPress={() => {
              close()
              void say({ kind: 'supply', system })
            }}
          />
        ))}
        <Words size="small" quiet>
          Nothing to ground on one leg is a lost leg, until all three read their volts to each other. What was
          read before is judged anew.
        </Words>
      </Sheet>
    </>
  )
}
