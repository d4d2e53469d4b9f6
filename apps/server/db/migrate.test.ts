import { cp, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import path from 'node:path'
import pg from 'pg'
import { migrateDatabase } from './migrate'

const folder = path.join(__dirname, 'migrations')
const url = process.env.TEST_DATABASE_URL ?? ''
const role = new URL(url).username

/** Only the first migration, as an installation of that day had it. */
async function firstOnly(): Promise<string> {
  const old = await mkdtemp(path.join(tmpdir(), 'migrations-'))
  await cp(folder, old, { recursive: true })
  const journal = path.join(old, 'meta', '_journal.json')
  const { entries, ...rest } = JSON.parse(await readFile(journal, 'utf8'))
  await writeFile(journal, JSON.stringify({ ...rest, entries: entries.slice(0, 1) }))
  return old
}

test('an installation with data goes forward through every migration and loses nothing', async () => {
  const name = `old_${process.pid}`
  const admin = new pg.Pool({ connectionString: process.env.TEST_ADMIN_URL })
  await admin.query(`CREATE DATABASE ${name} OWNER ${role}`)
  const pool = new pg.Pool({ connectionString: url.replace(/\/[^/]*$/, `/${name}`) })
  const old = await firstOnly()
  try {
    await migrateDatabase(pool, old)
    const [shop, person, site, unit, visit, entry] = Array.from({ length: 6 }, () => crypto.randomUUID())
    await pool.query('INSERT INTO shops VALUES ($1, $2)', [shop, 'Old shop'])
    await pool.query(
      'INSERT INTO people (id, shop_id, name, email, password_hash) VALUES ($1, $2, $3, $4, $5)',
      [person, shop, 'Old hand', 'old@hand.example', 'x'],
    )
    await pool.query('INSERT INTO sites (id, shop_id, name, address) VALUES ($1, $2, $3, $4)', [
      site,
      shop,
      'Old site',
      '1',
    ])
    await pool.query("INSERT INTO diagrams (shop_id, id, title, ladder) VALUES ($1, 'd', 'd', 'unit x')", [
      shop,
    ])
    await pool.query(
      "INSERT INTO units (id, shop_id, site_id, label, place, diagram_id, make, serial, installed) VALUES ($1, $2, $3, 'U', 'p', 'd', 'm', 's', '2020-01-01')",
      [unit, shop, site],
    )
    await pool.query('INSERT INTO visits (id, shop_id, unit_id, started_by) VALUES ($1, $2, $3, $4)', [
      visit,
      shop,
      unit,
      person,
    ])
    await pool.query(
      'INSERT INTO entries (id, shop_id, visit_id, person_id, clock_wall, clock_counter, clock_device, body) VALUES ($1, $2, $3, $4, 1, 0, \'d\', \'{"kind":"arrived"}\')',
      [entry, shop, visit, person],
    )
    await migrateDatabase(pool, folder)
    await migrateDatabase(pool, folder)
    expect((await pool.query('SELECT id, body FROM entries')).rows).toEqual([
      { id: entry, body: { kind: 'arrived' } },
    ])
    await pool.query(
      "INSERT INTO photos (id, shop_id, visit_id, person_id, type, image) VALUES ($1, $2, $3, $4, 'image/png', 'x')",
      [crypto.randomUUID(), shop, visit, person],
    )
    expect((await pool.query('SELECT diagram_id FROM visits')).rows).toEqual([{ diagram_id: 'd' }])
    expect((await pool.query('SELECT role FROM people')).rows).toEqual([{ role: 'owner' }])
    const places = await pool.query('SELECT "of", changes FROM place_edits ORDER BY "of"')
    expect(places.rows.map((row) => [row.of, row.changes.length])).toEqual([
      ['site', 3],
      ['unit', 7],
    ])
    for (const table of ['entries', 'place_edits', 'diagrams'])
      await expect(pool.query(`DELETE FROM ${table}`)).rejects.toThrow(/only added/)
  } finally {
    await pool.end()
    await admin.query(`DROP DATABASE ${name}`)
    await admin.end()
    await rm(old, { recursive: true, force: true })
  }
})
