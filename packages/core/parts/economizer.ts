import { economizerControl } from './economizerControl'

/** Judges outdoor air by its temperature. */
export const economizer = economizerControl('economizer', 'economizer controller', 'fixed-dry-bulb', false)
