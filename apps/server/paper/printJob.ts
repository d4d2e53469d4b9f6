import type { PaperPhoto } from './paperPhoto'
import { drawingPdf } from './drawingPdf'
import { labelsPdf, type Labelled } from './labels'
import type { PaperSize, ReportFonts } from './paper'
import { reportPdf } from './reportPdf'
import { visitReport, type VisitPapers } from './visitReport'

/** Something to be put on paper, as plain data that crosses to another thread. */
export type PrintJob =
  | {
      readonly print: 'report'
      readonly papers: VisitPapers
      readonly photos: readonly PaperPhoto[]
      readonly size: PaperSize
    }
  | { readonly print: 'drawing'; readonly ladder: string; readonly size: PaperSize }
  | { readonly print: 'labels'; readonly labelled: readonly Labelled[]; readonly origin: string }

/** Puts something on paper, as PDF. */
export type Print = (job: PrintJob) => Promise<Uint8Array>

/** A picture that crossed from another thread is bare bytes. */
const inOneBuffer = ({ id, image }: PaperPhoto): PaperPhoto => ({ id, image: image && Buffer.from(image) })

/** Prints here and now, in whatever thread this is. */
export const printWith =
  (fonts: ReportFonts): Print =>
  (job) => {
    switch (job.print) {
      case 'report':
        return reportPdf(visitReport(job.papers), job.photos.map(inOneBuffer), fonts, job.size)
      case 'drawing':
        return drawingPdf(job.ladder, fonts, job.size)
      case 'labels':
        return labelsPdf(job.labelled, job.origin, fonts)
    }
  }
