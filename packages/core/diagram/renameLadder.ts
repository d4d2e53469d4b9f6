import type { Diagram } from './diagram'
import { edited, partName, problem, type LadderEdit } from './editLadder'

const terminalName = /^[A-Za-z0-9]+[+-]?$/

/** What a panel calls a part: its mark there, and its name in words. */
export interface PanelName {
  readonly id: string
  readonly words: string
}

/** Gives a part the mark and the words that the panel has for it, wherever the text speaks of it. */
export function renamePart(
  text: string,
  { parts }: Diagram,
  id: string,
  { id: mark, words }: PanelName,
): LadderEdit {
  const part = parts.get(id)
  if (!part) return problem(`there is no part ${id}`)
  if (!partName.test(mark)) return problem('write the mark in capitals and digits, as in the panel: K3')
  if (mark !== id && parts.has(mark)) return problem(`there is a part ${mark} already; take another mark`)
  const spoken = words.replaceAll('"', '’').trim()
  if (spoken === '') return problem('say in words what it is')
  const lines = text.split('\n')
  const own = part.line - 1
  // the first words of its own line
  const worded = lines.map((line, k) => (k === own ? line.replace(/"[^"]*"/, () => `"${spoken}"`) : line))
  return edited(mark === id ? worded.join('\n') : withMark(worded.join('\n'), id, mark))
}

/** Every mention of a part under another mark: as a word of its own, never as a terminal behind its dot. */
export function withMark(text: string, id: string, mark: string): string {
  const word = new RegExp(`(?<![A-Za-z0-9.-])${id}(?=[./,\\s"]|$)`, 'gm')
  return text
    .split('\n')
    .map((line) => line.replace(/#.*$|"[^"]*"|[^"#]+/g, (piece) => inPiece(piece, word, mark)))
    .join('\n')
}

/** Words in quotes are for people and stay, as remarks do; lists of trips in quotes speak of parts. */
const inPiece = (piece: string, word: RegExp, mark: string): string =>
  piece.startsWith('#') || (piece.startsWith('"') && !piece.includes('/')) ? piece : piece.replace(word, mark)

/** Whether a part's terminals are named by whoever made the panel. */
export const hasOwnTerminalNames = ({ parts }: Diagram, id: string): boolean =>
  parts.get(id)?.kind.terminalsNamedBy !== undefined

/** Gives a terminal of a board the name that stands beside it in the panel. */
export function renameTerminal(text: string, diagram: Diagram, point: string, name: string): LadderEdit {
  const [id, old] = point.split('.')
  const part = diagram.parts.get(id)
  const setting = part?.kind.terminalsNamedBy
  if (!part || !diagram.points.has(point)) return problem(`there is no terminal ${point}`)
  if (setting === undefined) return problem(`the terminals of ${id} have the names that its kind gives them`)
  if (!terminalName.test(name)) return problem('write the terminal in letters and digits: Y1')
  if (name === old) return edited(text)
  const names = part.settings.list(setting)
  if (names.includes(name)) return problem(`${id} has a terminal ${name} already`)
  const listed = `${setting} "${names.map((each) => (each === old ? name : each)).join(',')}"`
  const mention = new RegExp(`(?<![A-Za-z0-9.-])${id}\\.${old.replace(/[+]/g, '\\+')}(?![A-Za-z0-9+])`, 'g')
  const lines = text.split('\n').map((line, k) => {
    const mentioned = line.replace(mention, `${id}.${name}`)
    return k === part.line - 1 ? withSetting(mentioned, setting, listed) : mentioned
  })
  return edited(lines.join('\n'))
}

/** A part's line with a setting written anew, or for the first time. */
function withSetting(line: string, setting: string, written: string): string {
  const there = new RegExp(`\\b${setting} ("[^"]*"|[^,\\s]+)`)
  if (there.test(line)) return line.replace(there, written)
  return line.includes(':') ? `${line.trimEnd()}, ${written}` : `${line.trimEnd()} : ${written}`
}
