import { useState } from 'react'
import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { ladderSvg } from '@jokulgale/core/formats/ladderSvg'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Part } from '../../ui/Part'
import { pickFile } from '../../ui/pickFile'
import { Press } from '../../ui/Press'
import { SavePress } from '../../ui/SavePress'

interface CircuitFilesProps {
  readonly text: string
  /** The circuit that is kept: the server draws it on paper. */
  readonly kept: string
  /** What its files are called. */
  readonly name: string
  /** The text is a circuit as it stands: else there is no drawing and no list of it. */
  readonly isReadable: boolean
  readonly onEdited: (text: string) => void
}

/** A circuit as it is written now, as files that other programs read, and from such a file. */
export function CircuitFiles({ text, kept, name, isReadable, onEdited }: CircuitFilesProps) {
  return (
    <Part title="As a file">
      <Line wraps gap="small">
        {isReadable ? (
          <>
            <SavePress
              title="As written"
              file={`${name}.ladder`}
              type="text/plain"
              make={() => Promise.resolve(text)}
            />
            <SavePress
              title="Drawing"
              file={`${name}.svg`}
              type="image/svg+xml"
              make={() => Promise.resolve(ladderSvg(readLadder(text)))}
            />
            <SavePress
              title="Wire list"
              file={`${name}-wires.csv`}
              type="text/csv"
              make={async () => (await import('../files/csv')).wireListCsv(readLadder(text))}
            />
            <SavePress
              title="Netlist"
              file={`${name}.cir`}
              type="text/plain"
              make={async () => (await import('../files/csv')).partsNetlist(readLadder(text))}
            />
          </>
        ) : null}
        {(['letter', 'A4'] as const).map((paper) => (
          <Press
            key={paper}
            title={`Drawing as kept, PDF ${paper}`}
            onPress={() => {
              const drawing = `/api/diagrams/${encodeURIComponent(kept)}/drawing.pdf`
              window.open(`${drawing}?paper=${paper.toLowerCase()}`, '_blank')
            }}
          />
        ))}
      </Line>
      <BringIn text={text} onEdited={onEdited} />
    </Part>
  )
}

interface Brought {
  readonly kind: 'good' | 'wrong'
  readonly words: string
}

/** A file that somebody has of this unit: ladder text, a list of its wires, or a netlist of its parts. */
function BringIn({ text, onEdited }: Pick<CircuitFilesProps, 'text' | 'onEdited'>) {
  const [brought, setBrought] = useState<Brought | null>(null)
  const take = async (): Promise<void> => {
    const file = await pickFile({
      accept: '.ladder,.csv,.cir,.net,.sp,.txt,text/csv,text/plain',
      purpose: 'circuit',
    })
    if (file === null) return
    const { circuitFromFile } = await import('../files/csv')
    const edit = circuitFromFile(text, await file.text())
    if (edit.is === 'problem') {
      setBrought({ kind: 'wrong', words: edit.message })
      return
    }
    onEdited(edit.text)
    const isChanged = edit.text !== text
    setBrought({
      kind: 'good',
      words: isChanged ? `${file.name} is in; look at What changes.` : `${file.name} says the same.`,
    })
  }
  return (
    <>
      <Press
        title="Bring in a text, a wire list or a netlist"
        onPress={() => {
          void take()
        }}
      />
      {brought ? <Notice kind={brought.kind}>{brought.words}</Notice> : null}
    </>
  )
}
