import type { PartKind } from './kind'

/** Terminals that only hold wires together: a terminal board, a splice, a junction. */
export const terminalBoard: PartKind = {
  kind: 'terminal-board',
  words: 'terminal board',
  cause: 'wires',
  symbol: 'terminal',
  settings: { terminals: 'R,C' },
  terminalsNamedBy: 'terminals',
  terminals: (s) => s.list('terminals').map((name) => ({ name, words: `terminal ${name}` })),
  branches: () => [],
  faults: () => [],
}
