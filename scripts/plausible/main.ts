// npm run plausible: ratings of the built-in units that do not fit each other; exits with 1 when there are any
import { implausible } from '@jokulgale/core/circuit/plausible'
import { builtInUnit, builtInUnitIds } from '@jokulgale/core/units/index'

const found = builtInUnitIds.flatMap((id) => implausible(builtInUnit(id)).map((one) => ({ id, ...one })))
for (const { id, rule, of, words } of found) console.log(`${id}: ${of}: ${words} (${rule})`)
console.log(found.length === 0 ? `${builtInUnitIds.length} units, nothing listed` : `${found.length} listed`)
process.exitCode = found.length === 0 ? 0 : 1
