declare module 'svg-to-pdfkit' {
  interface Options {
    readonly width?: number
    readonly height?: number
    readonly assumePt?: boolean
    readonly fontCallback?: (family: string, bold: boolean, italic: boolean, options: unknown) => string
  }
  export default function SVGtoPDF(
    document: PDFKit.PDFDocument,
    svg: string,
    x: number,
    y: number,
    options?: Options,
  ): void
}
