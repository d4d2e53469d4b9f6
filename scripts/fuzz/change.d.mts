export function setSeed(seed: number): void
export function below(limit: number): number
export function chance(oneIn: number): boolean
export function choose<T>(all: readonly T[]): T
export function changedValue(value: unknown): unknown
export function changedText(text: string): string
