import type { PartKind } from './kind'

/** A setting as one says it: as its dial or its plate has it; its name where neither has it. */
export const settingWords = (kind: PartKind | undefined, setting: string): string =>
  (
    kind?.dials?.[setting]?.words ??
    kind?.ratings?.find(([name]) => name === setting)?.[1] ??
    setting
  ).toLowerCase()
