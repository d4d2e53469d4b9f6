import pg from 'pg'

/** What a visit’s log holds, forty entries in the order of a call: the bodies that differ by visit are written in SQL. */
const readings = Array.from({ length: 26 }, (_, k) => ({
  kind: 'reading',
  meter: 'volts',
  from: k % 2 ? 'TB.R' : 'TB.Y1',
  to: 'TB.C',
  value: 24 + (k % 5) / 2,
}))
const bodies = [
  { kind: 'complaint', complaint: 'not-cooling' },
  { kind: 'arrived' },
  { kind: 'call', call: 'cool1' },
  ...readings,
  { kind: 'note', words: '' },
  { kind: 'observation', what: 'burnt', of: 'CC1' },
  { kind: 'action', do: 'bridge', of: 'LPS.1', to: 'LPS.2' },
  { kind: 'action', do: 'unbridge', of: 'LPS.1', to: 'LPS.2' },
  { kind: 'repair', of: 'CC1', words: 'contactor renewed', fault: 'CC1:coil-open' },
  { kind: 'part-used', of: 'CC1', words: 'contactor, two poles', rating: {} },
  {
    kind: 'proof',
    call: 'cool1',
    words: 'runs',
    values: [{ what: 'Control power, R to C', value: 25.1, unit: 'V', expected: 25.2 }],
  },
  { kind: 'go-ahead', by: 'owner', words: 'go on' },
  { kind: 'restored', item: 'panels', is: true },
  { kind: 'note', words: '' },
  { kind: 'sign-off', outcome: 'repaired', words: 'cooling again' },
]

/** Words that notes are made of: some in every tenth visit, some in one of thousands. */
const vocabulary = Array.from({ length: 3000 }, (_, k) => `w${k.toString(36)}`)

/** One in so many visits leaves a restriction that is still in the register. */
const restrictedEvery = 200

/**
 * Fills the shop of the demonstration with units and visits, in the database. Gives the number of entries. The rows are
 * what the application would have written; nothing is summed up beside the log yet.
 */
export async function fillShop(databaseUrl, { sites, units, visits }) {
  const pool = new pg.Pool({ connectionString: databaseUrl })
  const run = (text, values) => pool.query(text, values)
  try {
    const { rows: people } = await run('SELECT id, shop_id FROM people ORDER BY email LIMIT 1')
    const [{ id: person, shop_id: shop }] = people
    await run(
      `INSERT INTO sites (id, shop_id, name, address) SELECT gen_random_uuid(), $1, 'Skua Court ' || n, n || ' Skua Court' FROM generate_series(1, $2) n`,
      [shop, sites],
    )
    await run(
      `INSERT INTO units (id, shop_id, site_id, label, place, diagram_id, make, serial)
       SELECT gen_random_uuid(), $1, s.id, 'FC-' || n, 'Ceiling', 'fan-coil-cooling', 'Fulmar', 'SN-' || n
       FROM generate_series(1, $2::int) n
       JOIN (SELECT id, row_number() OVER () AS k FROM sites WHERE name LIKE 'Skua Court %') s ON s.k = 1 + n % $3`,
      [shop, units, sites],
    )
    await run(
      `INSERT INTO visits (id, shop_id, unit_id, diagram_id, started_by, started_at)
       SELECT gen_random_uuid(), $1, u.id, 'fan-coil-cooling', $2, now() - n * interval '1 hour'
       FROM generate_series(1, $3::int) n
       JOIN (SELECT id, row_number() OVER () AS k FROM units WHERE make = 'Fulmar') u ON u.k = 1 + n % $4`,
      [shop, person, visits, units],
    )
    await run(
      `INSERT INTO entries (id, shop_id, visit_id, person_id, clock_wall, clock_counter, clock_device, body)
       SELECT gen_random_uuid(), $1, v.id, $2, (extract(epoch FROM v.started_at) * 1000)::bigint + b.k * 60000, 0, 'scale',
         CASE
           WHEN b.body->>'kind' = 'note' THEN jsonb_build_object('kind', 'note', 'words',
             ($4::text[])[1 + (v.n * 7 + b.k * 13) % 10] || ' ' || ($4::text[])[1 + (v.n * 31 + b.k) % 3000])
           WHEN b.body->>'kind' = 'go-ahead' AND v.n % $5 = 0 THEN '{"kind": "temporary", "sort": "restricted", "of": "C1"}'::jsonb
           ELSE b.body
         END
       FROM (SELECT id, started_at, row_number() OVER (ORDER BY started_at DESC) AS n FROM visits WHERE unit_id IN (SELECT id FROM units WHERE make = 'Fulmar')) v
       CROSS JOIN (SELECT body, k FROM jsonb_array_elements($3::jsonb) WITH ORDINALITY AS t (body, k)) b`,
      [shop, person, JSON.stringify(bodies), vocabulary, restrictedEvery],
    )
    await run('ANALYZE')
    const { rows } = await run('SELECT count(*)::int AS entries FROM entries')
    return rows[0].entries
  } finally {
    await pool.end()
  }
}

export const commonWord = vocabulary[3]
export const rareWord = vocabulary[1234]
