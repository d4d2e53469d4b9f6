import type { PaperSize } from './paper'

/** What somebody wants on paper, by names only: whichever server takes it up looks the rest up. */
export type PrintOrder =
  | {
      readonly print: 'report'
      readonly shop: string
      readonly visit: string
      readonly utcOffsetMinutes: number
      readonly size: PaperSize
    }
  | {
      readonly print: 'drawing'
      readonly shop: string
      readonly diagram: string
      readonly size: PaperSize
    }
  | {
      readonly print: 'labels'
      readonly shop: string
      /** Of one site; null: of all. */
      readonly site: string | null
      /** Where the application is, for the codes. */
      readonly origin: string
    }

/**
 * Has something printed, wherever that is; gives the PDF. Throws RequestProblem (503) while too much
 * waits.
 */
export type OrderPrint = (order: PrintOrder) => Promise<Uint8Array>
