/** What the language itself brings: no test puts anything else in their places. */
const ofTheLanguage = new Set(
  [
    ['Array', 'Map', 'Math', 'Number', 'Set', 'String', 'Symbol', 'JSON'],
    ['Float32Array', 'Float64Array', 'Int32Array', 'Uint8Array', 'Uint32Array'],
    ['Error', 'RangeError', 'TypeError', 'Infinity', 'NaN'],
  ].flat(),
)

/**
 * A Babel plugin for tests. Each test file runs in a context of its own, in which every look at a global goes through an
 * interceptor: numerical code is two to three times as slow there. So each module takes its globals once.
 */
module.exports = ({ types }) => {
  const takenIn = (module, name) => {
    const own = module.generateUid(name)
    const init = types.memberExpression(types.identifier('globalThis'), types.identifier(name))
    module.push({ id: types.identifier(own), init, kind: 'const', unique: true })
    return own
  }
  return {
    name: 'take-globals-once',
    pre() {
      this.taken = new Map()
    },
    visitor: {
      ReferencedIdentifier(identifier) {
        const { name } = identifier.node
        if (identifier.type !== 'Identifier' || identifier.scope.hasBinding(name, true)) return
        if (name === 'undefined')
          identifier.replaceWith(types.unaryExpression('void', types.numericLiteral(0)))
        if (!ofTheLanguage.has(name)) return
        if (!this.taken.has(name)) this.taken.set(name, takenIn(identifier.scope.getProgramParent(), name))
        identifier.replaceWith(types.identifier(this.taken.get(name)))
      },
    },
  }
}
