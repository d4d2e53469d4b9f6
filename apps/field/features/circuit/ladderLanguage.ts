import {
  completeFromList,
  type Completion,
  type CompletionContext,
  type CompletionResult,
} from '@codemirror/autocomplete'
import { HighlightStyle, StreamLanguage, syntaxHighlighting } from '@codemirror/language'
import type { Extension } from '@codemirror/state'
import { tags } from '@lezer/highlight'
import { partKinds } from '@jokulgale/core/parts/index'
import { Settings } from '@jokulgale/core/parts/settings'
import type { Palette } from '../../ui/theme'

const statements = [
  'unit',
  'class',
  'isolate',
  'common',
  'hot',
  'board',
  'plate',
  'call',
  'complaint',
  'zone',
  'part',
  'rung',
  'trace',
  'code',
]
const inStatement: ReadonlySet<string> = new Set(['in', 'means', 'when', 'control', 'line'])

/** The ladder text as an editor colours it. */
const language = StreamLanguage.define<null>({
  name: 'ladder',
  startState: () => null,
  token: (stream) => {
    if (stream.match(/#.*/)) return 'comment'
    if (stream.match(/"[^"]*"?/)) return 'string'
    if (stream.match(/-[A-Za-z][A-Za-z0-9]* [A-Za-z0-9/]+-/)) return 'labelName'
    if (stream.match(/[A-Z][A-Z0-9]*\.[A-Za-z0-9]+[+-]?/)) return 'variableName'
    if (stream.sol() && stream.match(/[a-z]+/)) return 'keyword'
    const [word] = (stream.match(/[a-z][a-z0-9-]*/) as RegExpMatchArray | null) ?? []
    if (word !== undefined) return inStatement.has(word) ? 'keyword' : 'name'
    if (stream.match(/-?\d+(\.\d+)?/)) return 'number'
    stream.next()
    return null
  },
})

const colours = (palette: Palette): HighlightStyle =>
  HighlightStyle.define([
    { tag: tags.comment, color: palette.quiet },
    { tag: tags.string, color: palette.good },
    { tag: tags.keyword, color: palette.accent, fontWeight: 'bold' },
    { tag: tags.labelName, color: palette.live },
    { tag: tags.number, color: palette.wrong },
  ])

export const ladderLanguage = (palette: Palette): Extension => [
  language,
  syntaxHighlighting(colours(palette)),
]

const partLine = /^part ([A-Z][A-Z0-9]*) ([a-z0-9-]+)?/
const kinds: readonly Completion[] = [...partKinds.values()].map(({ kind, words }) => ({
  label: kind,
  detail: words,
  type: 'type',
}))

/** What may stand here: statements, kinds of parts, their settings, parts with their terminals. */
export function completeLadder(context: CompletionContext): CompletionResult | null {
  const line = context.state.doc.lineAt(context.pos)
  const before = line.text.slice(0, context.pos - line.from)
  if (/^[a-z]*$/.test(before))
    return completeFromList(statements.map((label) => ({ label, type: 'keyword' })))(
      context,
    ) as CompletionResult | null
  if (/^part [A-Z][A-Z0-9]* [a-z0-9-]*$/.test(before)) return offer(context, /[a-z0-9-]*/, kinds)
  const kind = partKinds.get(partLine.exec(line.text)?.[2] ?? '')
  if (kind && /^part .*: (.*, )?[A-Za-z]*$/.test(before))
    return offer(
      context,
      /[A-Za-z]*/,
      Object.entries(kind.settings).map(([label, usual]) => ({
        label,
        detail: `${usual}`,
        type: 'property',
      })),
    )
  return /(^|\s)[A-Z][A-Z0-9]*\.?[A-Za-z0-9]*$/.test(before)
    ? offer(context, /[A-Z][A-Z0-9]*\.?[A-Za-z0-9]*/, terminalsIn(context.state.doc.toString()))
    : null
}

function offer(
  context: CompletionContext,
  word: RegExp,
  options: readonly Completion[],
): CompletionResult | null {
  const typed = context.matchBefore(word)
  return typed ? { from: typed.from, options, validFor: word } : null
}

/** Every terminal of the parts that a text has so far. */
function terminalsIn(text: string): readonly Completion[] {
  return text.split('\n').flatMap((line): readonly Completion[] => {
    const [, id, name] = partLine.exec(line) ?? []
    const kind = partKinds.get(name ?? '')
    if (id === undefined || !kind) return []
    const written = /terminals "([^"]*)"/.exec(line)?.[1]
    const settings = new Settings(id, written ? { ...kind.settings, terminals: written } : kind.settings)
    try {
      return kind
        .terminals(settings)
        .map((terminal) => ({ label: `${id}.${terminal.name}`, detail: terminal.words, type: 'variable' }))
    } catch {
      // a part whose settings are not written out yet has no terminals to offer
      return []
    }
  })
}
