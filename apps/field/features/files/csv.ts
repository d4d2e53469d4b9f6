/**
 * Everything that reads or writes lists and netlists, behind one door: few people open such a file, and none of it
 * comes before somebody does.
 */
export { parse } from 'papaparse'
export { dropOutsOf, readMeterCsv } from '@jokulgale/core/formats/meterCsv'
export { readReadings, readingsCsv } from '@jokulgale/core/formats/readingsCsv'
export { partsNetlist } from '@jokulgale/core/formats/partsNetlist'
export { wireListCsv } from '@jokulgale/core/formats/wireListCsv'
export { circuitFromFile } from './circuitFromFile'
