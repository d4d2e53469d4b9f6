import { leadsOf } from '@jokulgale/core/changes/leadChange'
import { leadsByNodes } from '@jokulgale/core/changes/leadsByNodes'
import { withLeads } from '@jokulgale/core/changes/withLeads'
import { edited, problem, type LadderEdit } from '@jokulgale/core/diagram/editLadder'
import { DiagramError, readLadder } from '@jokulgale/core/diagram/readLadder'
import { isNetlist, NetlistError, readPartsNetlist } from '@jokulgale/core/formats/readPartsNetlist'
import { readWireList, WireListError } from '@jokulgale/core/formats/readWireList'

/** Larger than any unit's text or list, bytes. */
const mostLength = 1_000_000

/** Ladder text says first which unit it is of, but for remarks. */
const isLadder = (file: string): boolean =>
  file
    .split('\n')
    .find((line) => !/^\s*(?:#|$)/.test(line))
    ?.startsWith('unit ') ?? false

const refusals = [DiagramError, WireListError, NetlistError] as const

/**
 * A circuit as a file has it: ladder text stands for the whole of it, a wire list or a netlist for the leads of
 * what is drawn.
 */
export function circuitFromFile(text: string, file: string): LadderEdit {
  if (file.length > mostLength) return problem('the file is larger than any circuit: give one unit’s')
  try {
    if (isLadder(file)) {
      readLadder(file)
      return edited(file)
    }
    const diagram = readLadder(text)
    const leads = isNetlist(file)
      ? leadsByNodes(diagram, readPartsNetlist(file, diagram))
      : readWireList(file, diagram)
    return withLeads(text, leadsOf(leads))
  } catch (error) {
    if (refusals.some((refusal) => error instanceof refusal) && error instanceof Error)
      return problem(error.message)
    throw error
  }
}
