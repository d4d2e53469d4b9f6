// what draws with scales comes as one file, and only where something is drawn
export { PictureView } from './PictureView'
export { SeriesPlot } from './SeriesPlot'
