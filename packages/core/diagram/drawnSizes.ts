/** Distances of a drawn ladder, in units of its own. */
export const stepAcross = 104
export const rowHeight = 58
export const titleHeight = 30
export const sectionGap = 34
export const margin = 24
export const railGap = 46

/** Width of a drawing with so many points abreast. */
export const widthFor = (abreast: number): number => 2 * margin + 2 * railGap + stepAcross * (abreast - 1)
