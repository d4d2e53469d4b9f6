import { useState } from 'react'
import { StyleSheet, View } from 'react-native'
import { Field } from '../../ui/Field'
import { Line } from '../../ui/Line'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { PhotoPress } from '../photo/PhotoPress'
import type { OpenVisit } from '../visit/useVisit'
import type { LookItem } from './firstLook'
import { WhichIsWrong } from './WhichIsWrong'

const styles = StyleSheet.create({
  row: { borderBottomWidth: 1, paddingVertical: space.hair, gap: space.small },
})

interface LookRowProps {
  readonly item: LookItem
  readonly visit: OpenVisit
  /** It was just said to be wrong, and how is being said. */
  readonly isNoting: boolean
  readonly onLook: (is: 'right' | 'wrong') => Promise<void>
  readonly onNoted: () => void
}

/** One thing of the first look: right or wrong in one tap, a photo, and what is wrong with it. */
export function LookRow({ item, visit, isNoting, onLook, onNoted }: LookRowProps) {
  const palette = usePalette()
  const { id, words } = item
  const now = visit.state.firstLook.get(id)?.body
  return (
    <View style={[styles.row, { borderColor: palette.line }]}>
      <Line gap="small" align="center">
        <Words grows>{words}</Words>
        <PhotoPress visit={visit.id} shows={{ of: id }} label={words} />
        <Line gap="hair">
          <Press
            title="Right"
            label={`${words}: right`}
            selected={now?.is === 'right'}
            onPress={() => {
              void onLook('right')
            }}
          />
          <Press
            title="Wrong"
            label={`${words}: wrong`}
            selected={now?.is === 'wrong'}
            onPress={() => {
              void onLook('wrong')
            }}
          />
        </Line>
      </Line>
      {isNoting ? <WhatIsWrong item={item} visit={visit} onNoted={onNoted} /> : null}
    </View>
  )
}

function WhatIsWrong({ item, visit, onNoted }: Pick<LookRowProps, 'item' | 'visit' | 'onNoted'>) {
  const [note, setNote] = useState('')
  const said = note.trim()
  return (
    <Stack gap="small">
      <WhichIsWrong item={item} visit={visit} />
      <Field
        label="What is wrong, and who switched it off if somebody did"
        value={note}
        onChangeText={setNote}
      />
      <Press
        title="Keep the note"
        disabled={said === ''}
        onPress={() => {
          void visit.say({ kind: 'first-look', item: item.id, is: 'wrong', words: `${item.words}: ${said}` })
          onNoted()
        }}
      />
    </Stack>
  )
}
