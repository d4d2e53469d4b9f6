import { useEffect, useRef, useState } from 'react'
import { StyleSheet, View } from 'react-native'
import type { Briefing } from '@jokulgale/core/diagnosis/briefing'
import { Icon } from '../../ui/Icon'
import { Press } from '../../ui/Press'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import type { OpenVisit } from '../visit/useVisit'
import { askLeave, mayAsk, tellDelayOver } from './delayOver'
import { minutesWords, overToSay, useRunningDelays } from './clock'

const styles = StyleSheet.create({
  strip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.small,
    paddingHorizontal: space.medium,
    paddingVertical: 6,
  },
})

/**
 * The delays that still run, wherever one is in the visit; nothing when none does, or while they are being
 * solved for a call that was just set.
 */
export function DelayStrip({
  visit,
  delays,
}: {
  readonly visit: OpenVisit
  readonly delays: Briefing['delays'] | null
}) {
  const palette = usePalette()
  const running = useRunningDelays(visit.state, delays)
  const count = running?.length
  const [asking, setAsking] = useState(mayAsk)
  const wasRunning = useRef(false)
  useEffect(() => {
    if (wasRunning.current && count === 0)
      tellDelayOver(`${visit.unit.label}: the delay is over, what comes after it can be judged.`)
    wasRunning.current = count !== undefined && count > 0
  }, [count, visit.unit.label])
  const next = running?.at(0)
  if (!next || delays === null) return null
  return (
    <View
      role="timer"
      aria-label={`${next.words}: ${next.secondsLeft} seconds`}
      style={[styles.strip, { backgroundColor: palette.sunk }]}
    >
      <Icon name="clock" size={18} color={palette.live} />
      <Words strong tabular color={palette.live}>
        {minutesWords(next.secondsLeft)}
      </Words>
      <Words size="small" grows>{`${next.words}: too early to judge`}</Words>
      {asking ? (
        <Press
          kind="quiet"
          title="Ring"
          label="Ring when the delay is over"
          onPress={() => {
            void askLeave().then(() => {
              setAsking(mayAsk())
            })
          }}
        />
      ) : null}
      <Press
        kind="quiet"
        title="It is over"
        label="It is over: it was calling before"
        onPress={() => {
          void visit.say(overToSay(visit.bodies, delays))
        }}
      />
    </View>
  )
}
