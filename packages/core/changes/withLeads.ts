import type { Diagram } from '../diagram/diagram'
import { drawLead } from '../diagram/drawLead'
import { landElsewhere, problem, relabelWire, takeWireOut, type LadderEdit } from '../diagram/editLadder'
import { readLadder } from '../diagram/readLadder'
import { wireJoining } from '../diagram/wireJoining'
import { inTurn } from './inTurn'
import { leadList, leadWords, type LeadChange, type Leads } from './leadChange'

/** More than that is another unit’s list: each change is made and read again. */
const mostChanges = 400

/**
 * A circuit wired as a list of leads says, lead by lead as a person would change it: what is in no lead of
 * the list is taken out, and everything else of the text stays as it is written.
 */
export function withLeads(text: string, leads: Leads): LadderEdit {
  const changes = leadList(readLadder(text), leads)
  if (changes.length > mostChanges)
    return problem(`${changes.length} leads differ from the circuit: is it the list of this unit?`)
  return inTurn(
    text,
    changes.map((change) => ({
      words: leadWords(change),
      make: (now, diagram) => changedIn(now, diagram, change),
    })),
  )
}

function changedIn(text: string, diagram: Diagram, change: LeadChange): LadderEdit {
  const { color, number } = change
  if (change.is === 'new') {
    const { from, to } = change
    return drawLead(text, diagram, { from, color, number, to: { is: 'terminal', point: to } })
  }
  const [one, other] = change.is === 'moved' ? [change.stays, change.off] : [change.from, change.to]
  const wire = wireJoining(diagram, one, other)
  if (!wire) return problem(`no lead joins ${one} and ${other}`)
  switch (change.is) {
    case 'moved':
      return landElsewhere(text, diagram, wire, change.onto, wire.to === change.off ? 'to' : 'from')
    case 'relabelled':
      return relabelWire(text, wire, color, number)
    case 'taken-out':
      return takeWireOut(text, wire)
  }
}
