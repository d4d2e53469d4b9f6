import { memo, useCallback, useMemo, useState } from 'react'
import type { Stop } from '@jokulgale/core/diagnosis/strip'
import { Chips } from '../../ui/Chips'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { StripView } from '../trace/StripView'
import { StopSheet } from './StopSheet'
import type { Sketched } from './useSketch'

interface CircuitDrawingProps {
  readonly sketched: Sketched
  readonly text: string
  readonly onCall: (call: string) => void
  readonly onEdited: (text: string) => void
}

/** The circuit as it works in a call; a tap on a stop changes it there. Drawn anew when it was solved anew. */
export const CircuitDrawing = memo(function CircuitDrawing({
  sketched: { sketch, problems },
  text,
  onCall,
  onEdited,
}: CircuitDrawingProps) {
  const [stop, setStop] = useState<Stop | null>(null)
  const strips = useMemo(() => sketch?.strips ?? [], [sketch])
  const choose = useCallback(
    (point: string) => {
      setStop(strips.flatMap(({ stops }) => stops).find((each) => each.point === point) ?? null)
    },
    [strips],
  )
  if (!sketch) return problems.length > 0 ? null : <Words quiet>Solving this circuit …</Words>
  return (
    <Stack gap="medium">
      <Chips
        label="Call"
        options={sketch.calls.map(({ id, words }) => ({ id, words }))}
        chosen={sketch.call}
        onChoose={onCall}
      />
      {sketch.oscillates ? (
        <Notice kind="caution">In this call the circuit never comes to rest.</Notice>
      ) : null}
      <Words size="small" quiet>
        Healthy values. Tap a stop to change the path there.
      </Words>
      {strips.map((strip, k) => (
        <StripView
          key={strip.words}
          strip={strip}
          startsOpen={k === 0}
          folds={false}
          red=""
          black=""
          onStop={choose}
        />
      ))}
      {strips.length === 0 ? (
        <Words quiet>Nothing is called for here, or no line trace says where its path runs.</Words>
      ) : null}
      <Part title="What its loads draw">
        {sketch.loads.map(({ part, words, amps }) => (
          <Words key={part}>{`${part}  ${words}: ${amps < 0.05 ? 'still' : `${amps.toFixed(1)} A`}`}</Words>
        ))}
      </Part>
      {stop ? (
        <StopSheet
          text={text}
          stop={stop}
          onEdited={onEdited}
          onClose={() => {
            setStop(null)
          }}
        />
      ) : null}
    </Stack>
  )
})
