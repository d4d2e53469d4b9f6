import { useState } from 'react'
import { Field } from '../../ui/Field'
import { Line } from '../../ui/Line'
import { Part } from '../../ui/Part'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { PhotoPress } from '../photo/PhotoPress'
import { PhotoRow } from '../photo/PhotoRow'
import type { OpenVisit } from '../visit/useVisit'

/**
 * What is still wrong and not part of this repair, with what is recommended and why; the price is the
 * office's.
 */
export function Defects({ visit }: { readonly visit: OpenVisit }) {
  const { state, say } = visit
  const [words, setWords] = useState('')
  const [recommend, setRecommend] = useState('')
  const [open, setOpen] = useState(false)
  return (
    <Part title="Still open">
      {state.defects.length === 0 ? <Words quiet>Nothing noted.</Words> : null}
      {state.defects.map(({ entry, body }) => (
        <Stack key={entry.id} gap="hair">
          <Line align="center" gap="small">
            <Words grows>{[body.words, body.recommend].filter(Boolean).join(' → ')}</Words>
            <PhotoPress visit={visit.id} shows={{ on: entry.id, words: body.words }} label={body.words} />
            <Press
              title="Done"
              label={`${body.words}: done`}
              onPress={() => {
                void say({ kind: 'defect-closed', entry: entry.id })
              }}
            />
          </Line>
          <PhotoRow photos={state.photos.filter((photo) => photo.body.on === entry.id)} />
        </Stack>
      ))}
      {open ? (
        <>
          <Field label="What is still wrong" value={words} onChangeText={setWords} />
          <Field label="Recommended, and why" value={recommend} onChangeText={setRecommend} />
          <Press
            title="Note it"
            disabled={words.trim() === ''}
            onPress={() => {
              void say({ kind: 'defect', words: words.trim(), recommend: recommend.trim() })
              setWords('')
              setRecommend('')
              setOpen(false)
            }}
          />
        </>
      ) : (
        <Press
          title="Something is still wrong"
          onPress={() => {
            setOpen(true)
          }}
        />
      )}
    </Part>
  )
}
