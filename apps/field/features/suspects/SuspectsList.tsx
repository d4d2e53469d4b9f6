import { useState, type ReactNode } from 'react'
import { Pressable, StyleSheet, View } from 'react-native'
import type { Briefing, SuspectBrief } from '@jokulgale/core/diagnosis/briefing'
import type { SuspectGroup } from '@jokulgale/core/diagnosis/handledAsOne'
import { reasoningOf } from '@jokulgale/core/diagnosis/reasoning'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { space, target, usePalette } from '../../ui/theme'
import { toggled } from '../../ui/toggled'
import { Words } from '../../ui/Words'
import { programNow } from '../sync/program'
import type { Judged } from '../visit/useBriefing'
import type { OpenVisit } from '../visit/useVisit'
import { withoutName } from './withoutName'
import { Line } from '../../ui/Line'

const styles = StyleSheet.create({
  head: { flexDirection: 'row', gap: space.small, alignItems: 'baseline', paddingTop: space.medium },
  reason: { flexDirection: 'row', gap: space.medium, paddingVertical: 4 },
  suspect: { paddingVertical: space.medium, gap: 6, minHeight: 60 },
})

interface SuspectsListProps {
  readonly briefing: Briefing
  readonly judged: Judged
  readonly visit: OpenVisit
  readonly onCause: () => void
}

/**
 * Suspects with what speaks for and against each, those that a reading has cleared, and what is not covered
 * yet.
 */
export function SuspectsList({ briefing, judged, visit, onCause }: SuspectsListProps) {
  const palette = usePalette()
  // kept here: a suspect that is judged anew may come under another group
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set())
  return (
    <Stack gap="large">
      {briefing.warning ? <Notice kind="caution">{briefing.warning}</Notice> : null}
      {briefing.story ? <Words size="lead">{briefing.story}</Words> : null}
      <View>
        <Words strong quiet role="heading" aria-level={2}>
          Suspects
        </Words>
        {briefing.suspects.length === 0 ? (
          <Words quiet>Too many, and none stands out yet. Take the next reading.</Words>
        ) : null}
        {briefing.groups.map((group) => (
          <GroupRow key={group.id} group={group}>
            {group.suspects.map((suspect) => (
              <SuspectRow
                key={suspect.id}
                suspect={suspect}
                under={group.around}
                suspects={briefing.suspects}
                judged={judged}
                open={opened.has(suspect.id)}
                onOpen={() => {
                  setOpened((before) => toggled(before, suspect.id))
                }}
                visit={visit}
                onCause={onCause}
              />
            ))}
          </GroupRow>
        ))}
      </View>
      {briefing.beside.map((words) => (
        <Notice key={words} kind="plain">
          {words}
        </Notice>
      ))}
      <Notice kind="plain">{briefing.coverage.sentence}</Notice>
      <Reasons briefing={briefing} />
      {briefing.cleared.length > 0 ? (
        <View>
          <Words strong quiet role="heading" aria-level={2}>
            Cleared
          </Words>
          {briefing.cleared.map(({ id, words, by }) => (
            <View
              key={id}
              style={{ paddingVertical: space.small, borderBottomWidth: 1, borderColor: palette.line }}
            >
              <Words size="small">{words}</Words>
              <Words size="small" quiet>{`by ${by}`}</Words>
            </View>
          ))}
        </View>
      ) : null}
    </Stack>
  )
}

/**
 * Suspects that are handled as one thing, under its name and their odds together; a lone one stands for
 * itself.
 */
function GroupRow({ group, children }: { readonly group: SuspectGroup; readonly children: ReactNode }) {
  const palette = usePalette()
  if (group.suspects.length === 1) return children
  return (
    <View role="group" accessibilityLabel={`${group.words}, together ${group.odds}`}>
      <View style={styles.head}>
        <Words strong grows>
          {group.words}
        </Words>
        <Words size="small" quiet>{`together ${group.odds}`}</Words>
      </View>
      <View style={{ borderLeftWidth: 3, borderColor: palette.line, paddingLeft: space.medium }}>
        {children}
      </View>
    </View>
  )
}

/** The table of what was thought likelier before any reading, and why. */
function Reasons({ briefing: { reasons } }: { readonly briefing: Briefing }) {
  const [open, setOpen] = useState(false)
  return (
    <View>
      <Pressable
        accessibilityRole="button"
        aria-expanded={open}
        onPress={() => {
          setOpen(!open)
        }}
        style={{ minHeight: target, justifyContent: 'center' }}
      >
        <Words strong quiet>
          {open
            ? 'Odds before any reading'
            : `Odds before any reading: ${reasons.length === 0 ? 'as usual for its parts' : reasons.length === 1 ? 'one reason' : `${reasons.length} reasons`}`}
        </Words>
      </Pressable>
      {open && reasons.length === 0 ? (
        <Words size="small" quiet>
          What commonly fails, part by part; nothing about this call changes it.
        </Words>
      ) : null}
      {open
        ? reasons.map(({ reason, factor, faults }) => (
            <View key={reason} style={styles.reason}>
              <Words size="small" grows>
                {reason}
              </Words>
              <Words
                size="small"
                quiet
              >{`× ${factor < 10 ? factor.toFixed(2) : factor.toFixed(0)} on ${faults}`}</Words>
            </View>
          ))
        : null}
    </View>
  )
}

function SuspectRow({
  suspect,
  under,
  suspects,
  judged,
  open,
  onOpen,
  visit,
  onCause,
}: {
  readonly suspect: SuspectBrief
  /** What stands over it already and need not be said again. */
  readonly under: string
  /** All that are shown, for what was weighed against it. */
  readonly suspects: readonly SuspectBrief[]
  readonly judged: Judged
  readonly open: boolean
  /** Opens it, or closes it. */
  readonly onOpen: () => void
  readonly visit: OpenVisit
  readonly onCause: () => void
}) {
  const palette = usePalette()
  const taken = (of: string): void => {
    const cause = { kind: 'cause', of, words: suspect.words, fault: suspect.id } as const
    // the record never gives odds that leave out what was entered before them
    void visit.say(
      judged === 'anew' ? { ...cause, reasoning: reasoningOf(suspect, suspects, programNow()) } : cause,
    )
    onCause()
  }
  return (
    <View style={{ borderBottomWidth: 1, borderColor: palette.line }}>
      <Pressable
        accessibilityRole="button"
        aria-expanded={open}
        accessibilityLabel={`${suspect.words}, ${suspect.odds}`}
        onPress={onOpen}
        style={styles.suspect}
      >
        <Line gap="small" align="baseline">
          <Words grows strong>
            {withoutName(suspect.words, under)}
          </Words>
          <Words size="small" quiet>
            {suspect.odds}
          </Words>
        </Line>
        <View aria-hidden style={{ height: 6, backgroundColor: palette.sunk, borderRadius: 3 }}>
          <View
            style={{
              height: 6,
              width: `${Math.max(1, Math.round(100 * suspect.probability))}%`,
              backgroundColor: palette.accent,
              borderRadius: 3,
            }}
          />
        </View>
      </Pressable>
      {open ? (
        <View style={{ gap: space.small, paddingBottom: space.medium }}>
          {suspect.explains.map((words) => (
            <Notice key={words} kind="good">{`explains ${words}`}</Notice>
          ))}
          {suspect.against.map((words) => (
            <Notice key={words} kind="wrong">
              {words}
            </Notice>
          ))}
          {suspect.restarts ? <Words size="small">{suspect.restarts}</Words> : null}
          {suspect.proof ? <Words size="small">{`Would show it: ${suspect.proof}`}</Words> : null}
          {suspect.prove ? <Words size="small">{`Prove it: ${suspect.prove}`}</Words> : null}
          {suspect.cause ? <Words size="small">{`Usual cause: ${suspect.cause}`}</Words> : null}
          {suspect.before ? (
            <Notice kind="caution">{`Before it is energised again: ${suspect.before}`}</Notice>
          ) : null}
          {judged === 'not yet' ? <Words quiet>The last entry is being weighed …</Words> : null}
          {suspect.of.map((of) => (
            <Press
              key={of}
              kind="main"
              title={suspect.of.length === 1 ? 'This is it' : `It is ${of}`}
              disabled={judged === 'not yet'}
              onPress={() => {
                taken(of)
              }}
            />
          ))}
        </View>
      ) : null}
    </View>
  )
}
