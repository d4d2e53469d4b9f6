/** Cycles per second of the supply. */
export const supplyHertz = 60
