/**
 * Everything that reads or writes comma-separated files, behind one door: few people open such a file, and none of it
 * comes before somebody does.
 */
export { parse } from 'papaparse'
export { dropOutsOf, readMeterCsv } from '@jokulgale/core/formats/meterCsv'
export { readReadings, readingsCsv } from '@jokulgale/core/formats/readingsCsv'
export { wireListCsv } from '@jokulgale/core/formats/wireListCsv'
export { circuitFromFile } from './circuitFromFile'
