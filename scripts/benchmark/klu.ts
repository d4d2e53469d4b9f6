import { execFileSync } from 'node:child_process'
import path from 'node:path'
import { SparseLu, type SparseMatrix } from '@jokulgale/core/circuit/sparseLu'
import { median } from './median'

const repeats = 501

/** One matrix factored and solved by a compiled sparse solver and by ours; times in microseconds, medians. */
export interface KluRow {
  readonly size: number
  readonly entries: number
  readonly kluFactor: number
  readonly kluRefactor: number
  readonly kluSolve: number
  readonly ourFactor: number
  readonly ourSolve: number
  /** Largest difference of the two solutions, as a share of the largest of their values. */
  readonly apart: number
}

/** Builds the program that times KLU; null, with a message, where there is no compiler or no library. */
export function kluProgram(scratch: string): string | null {
  const program = path.join(scratch, 'klu')
  // measuring programs are run from the root
  const source = path.resolve('scripts', 'benchmark', 'klu.c')
  try {
    execFileSync('cc', ['-O2', '-o', program, source, '-lklu', '-lm'], { stdio: 'pipe' })
    return program
  } catch {
    console.log('KLU is not measured: it takes a C compiler and libsuitesparse-dev')
    return null
  }
}

interface Entry {
  readonly row: number
  readonly column: number
  readonly re: number
  readonly im: number
}

/** Entries by column, those at one place added up. */
function byColumn({ rows, columns, re, im }: SparseMatrix): readonly Entry[] {
  const at = new Map<string, Entry>()
  rows.forEach((row, k) => {
    const key = `${columns[k]} ${row}`
    const before = at.get(key)
    at.set(key, { row, column: columns[k], re: re[k] + (before?.re ?? 0), im: im[k] + (before?.im ?? 0) })
  })
  return [...at.values()].sort((a, b) => a.column - b.column || a.row - b.row)
}

const microseconds = (count: number, work: () => void): number =>
  median(
    Array.from({ length: count }, () => {
      const from = performance.now()
      work()
      return 1000 * (performance.now() - from)
    }),
  )

/**
 * Factors and solves one matrix by both; the right-hand side is one in every row, so that nothing is skipped.
 */
export function measureKlu(program: string, matrix: SparseMatrix): KluRow {
  const { size } = matrix
  const entries = byColumn(matrix)
  const input = [
    `${size} ${entries.length} ${repeats}`,
    ...entries.map(({ row, column, re, im }) => `${row} ${column} ${re} ${im}`),
    ...Array.from({ length: size }, () => '1 0'),
  ].join('\n')
  const [times, ...solution] = execFileSync(program, { input, encoding: 'utf8', maxBuffer: 1 << 26 })
    .trim()
    .split('\n')
    .map((line) => line.split(' ').map(Number))
  const [kluFactor, kluRefactor, kluSolve] = times

  const lu = SparseLu.factor(matrix)
  const [bRe, bIm, xRe, xIm] = Array.from({ length: 4 }, () => new Float64Array(size))
  const solve = (): void => {
    bRe.fill(1)
    lu.solve(bRe, bIm, 0, xRe, xIm)
  }
  microseconds(repeats, solve)
  const ourSolve = microseconds(repeats, solve)
  const most = solution.reduce((size, [re, im]) => Math.max(size, Math.hypot(re, im)), 0)
  const apart = solution.reduce(
    (worst, [re, im], k) => Math.max(worst, Math.hypot(re - xRe[k], im - xIm[k])),
    0,
  )
  return {
    size,
    entries: entries.length,
    kluFactor,
    kluRefactor,
    kluSolve,
    ourFactor: microseconds(31, () => {
      SparseLu.factor(matrix)
    }),
    ourSolve,
    apart: apart / most,
  }
}
