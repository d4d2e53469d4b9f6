import { withLeads } from '@jokulgale/core/changes/withLeads'
import { edited, problem, type LadderEdit } from '@jokulgale/core/diagram/editLadder'
import { DiagramError, readLadder } from '@jokulgale/core/diagram/readLadder'
import { readWireList, WireListError } from '@jokulgale/core/formats/readWireList'

/** Larger than any unit's text or list, bytes. */
const mostLength = 1_000_000

/** A circuit as a file has it: ladder text stands for the whole of it, a wire list for the leads of what is drawn. */
export function circuitFromFile(text: string, file: string): LadderEdit {
  if (file.length > mostLength) return problem('the file is larger than any circuit: give one unit’s')
  try {
    if (/^\s*(?:#.*\s*)*unit /.test(file)) {
      readLadder(file)
      return edited(file)
    }
    const wires = readWireList(file, readLadder(text))
    return withLeads(text, { wires: new Map(wires.map((wire) => [`${wire.from}-${wire.to}`, wire])) })
  } catch (error) {
    if (error instanceof DiagramError || error instanceof WireListError) return problem(error.message)
    throw error
  }
}
