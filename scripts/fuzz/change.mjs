// Changes what was right: values of JSON, and text. One seed gives one run.
let state = 480

export const setSeed = (seed) => {
  state = seed
}

export const below = (limit) => {
  state = (state * 1_103_515_245 + 12_345) % 2_147_483_648
  return Math.floor((state / 2_147_483_648) * limit)
}
export const chance = (oneIn) => below(oneIn) === 0
export const choose = (all) => all[below(all.length)]

const odd = () =>
  choose([
    null,
    true,
    '',
    ' ',
    '\u0000',
    '\ud800',
    '__proto__',
    'constructor',
    'x'.repeat(5000),
    '🜁'.repeat(300),
    '../../etc',
    '2023-02-30',
    -1,
    0,
    1e308,
    -1e15,
    0.1 + 0.2,
    2 ** 53,
    [],
    {},
    [[[[[[[[]]]]]]]],
    Array.from({ length: 3000 }, () => 1),
    { __proto__: { a: 1 }, constructor: { prototype: 1 } },
  ])

/** A value with one place of it changed: another value, one left out, or one too many. */
export function changedValue(value) {
  if (chance(8)) return value
  if (value === null || typeof value !== 'object' || chance(10)) return odd()
  if (Array.isArray(value)) {
    const at = below(value.length + 1)
    return at === value.length
      ? [...value, odd()]
      : value.map((each, k) => (k === at ? changedValue(each) : each))
  }
  const keys = Object.keys(value)
  const key = choose(keys)
  if (key === undefined || chance(10)) return { ...value, [choose(['extra', '__proto__', 'kind'])]: odd() }
  if (chance(8)) return Object.fromEntries(Object.entries(value).filter(([name]) => name !== key))
  return { ...value, [key]: changedValue(value[key]) }
}

/** A text with some of it doubled, cut out, or changed. */
export function changedText(text) {
  let now = text
  for (let change = 0; change <= below(4); change++) {
    const [a, b] = [below(now.length + 1), below(now.length + 1)].sort((x, y) => x - y)
    const piece = now.slice(a, Math.min(b, a + 200))
    now = choose([
      () => now.slice(0, a) + now.slice(a + piece.length),
      () => now.slice(0, a) + piece + now.slice(a),
      () =>
        now.slice(0, a) +
        choose(['=', '-', '"', '\n', '{', ']', '\u0000', '9'.repeat(400), '#', ',']) +
        now.slice(a),
      () => now.slice(0, a),
    ])()
  }
  return now
}
