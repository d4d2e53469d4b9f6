import { autocompletion, completionKeymap } from '@codemirror/autocomplete'
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands'
import { setDiagnostics, type Diagnostic } from '@codemirror/lint'
import { EditorState } from '@codemirror/state'
import { EditorView, keymap, lineNumbers } from '@codemirror/view'
import { useEffect, useRef } from 'react'
import type { DiagramProblem } from '@jokulgale/core/diagram/readLadder'
import { fonts, usePalette, useScheme } from '../../ui/theme'
import { completeLadder, ladderLanguage } from './ladderLanguage'

interface LadderEditorProps {
  readonly text: string
  readonly problems: readonly DiagramProblem[]
  readonly onChange: (text: string) => void
}

/** The ladder text in an editor: coloured, completed, with what is wrong under its line. */
export default function LadderEditor({ text, problems, onChange }: LadderEditorProps) {
  const palette = usePalette()
  const scheme = useScheme()
  const place = useRef<HTMLDivElement>(null)
  const view = useRef<EditorView | null>(null)
  const changed = useRef(onChange)
  useEffect(() => {
    changed.current = onChange
  }, [onChange])
  useEffect(() => {
    if (!place.current) return
    const made = new EditorView({
      parent: place.current,
      state: EditorState.create({
        doc: text,
        extensions: [
          lineNumbers(),
          history(),
          autocompletion({ override: [completeLadder] }),
          keymap.of([...completionKeymap, ...defaultKeymap, ...historyKeymap]),
          ladderLanguage(palette),
          EditorView.lineWrapping,
          EditorView.contentAttributes.of({ 'aria-label': 'Ladder text', spellcheck: 'false' }),
          EditorView.updateListener.of((update) => {
            if (update.docChanged) changed.current(update.state.doc.toString())
          }),
          EditorView.theme(
            {
              '&': { backgroundColor: palette.raised, color: palette.text, fontSize: '14px' },
              '.cm-content': { fontFamily: fonts.reading, caretColor: palette.accent },
              '.cm-gutters': { backgroundColor: palette.sunk, color: palette.quiet, border: 'none' },
              // the page scrolls, not a box in it
              '.cm-scroller': { overflow: 'visible' },
              '&.cm-focused': { outline: `2px solid ${palette.accent}` },
            },
            { dark: scheme === 'dark' },
          ),
        ],
      }),
    })
    view.current = made
    return () => {
      made.destroy()
      view.current = null
    }
    // the text that the editor begins with; what is typed is its own from then on
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [palette, scheme])
  useEffect(() => {
    // an edit made on the strip, or undone there
    const { current } = view
    if (current && current.state.doc.toString() !== text)
      current.dispatch({ changes: { from: 0, to: current.state.doc.length, insert: text } })
  }, [text])
  useEffect(() => {
    const { current } = view
    if (!current) return
    const { doc } = current.state
    const marks = problems.map(({ line, message }): Diagnostic => {
      const { from, to } = doc.line(Math.min(Math.max(1, line), doc.lines))
      return { from, to, message, severity: 'error' }
    })
    current.dispatch(setDiagnostics(current.state, marks))
  }, [problems])
  return <div ref={place} />
}
