import type { Request } from 'express'
import { paperSizes, type PaperSize } from '../paper/paper'

const isPaper = (name: unknown): name is PaperSize =>
  typeof name === 'string' && Object.hasOwn(paperSizes, name)

/** `?paper=letter`; A4 where nothing, or nothing known, is asked for. */
export const paperAsked = ({ query }: Request): PaperSize => (isPaper(query.paper) ? query.paper : 'a4')
