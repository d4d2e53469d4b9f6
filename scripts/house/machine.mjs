import { cpus, totalmem } from 'node:os'

/** What a measurement was taken on. */
export const machine = `${cpus().length} × ${cpus()[0].model}, ${Math.round(totalmem() / 2 ** 30)} GiB, Node ${process.version}`
