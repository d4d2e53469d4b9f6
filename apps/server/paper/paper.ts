import PDFDocument from 'pdfkit'

/** Files of the two faces that paper is set in. */
export interface ReportFonts {
  readonly text: string
  readonly strong: string
}

type PaperOptions = Omit<PDFKit.PDFDocumentOptions, 'size' | 'info'> & {
  readonly size?: PaperSize
}

interface Paper {
  readonly document: PDFKit.PDFDocument
  /** The whole of it, once the document has been ended. */
  readonly whole: Promise<Buffer>
}

/** Sheets that there are in the building's printer. */
export const paperSizes = { a4: 'A4', letter: 'LETTER' } as const
export type PaperSize = keyof typeof paperSizes

/** A document in the two faces, by the names `text` and `strong`. */
export function newPaper(
  title: string,
  fonts: ReportFonts,
  { size = 'a4', ...options }: PaperOptions,
): Paper {
  const document = new PDFDocument({
    size: paperSizes[size],
    ...options,
    info: { Title: title, Producer: 'Jokulgale', Creator: 'Jokulgale' },
  })
  document.registerFont('text', fonts.text).registerFont('strong', fonts.strong)
  const parts: Buffer[] = []
  const whole = new Promise<Buffer>((resolve, reject) => {
    document
      .on('data', (part: Buffer) => parts.push(part))
      .on('end', () => {
        resolve(Buffer.concat(parts))
      })
      .on('error', reject)
  })
  return { document, whole }
}
