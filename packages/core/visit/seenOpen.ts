import { showsOpened } from '../parts/lookVocabulary'
import type { VisitState } from './visitState'

/** Whether a part was seen to have opened by itself, as a fuse does: it is renewed, and was not the cause. */
export const seenOpen = ({ observations }: Pick<VisitState, 'observations'>, of: string): boolean =>
  observations.some(({ body }) => body.of === of && showsOpened(body.what))
