import pg from 'pg'
import { connect } from './connect'

const server = connect(process.env.TEST_DATABASE_URL ?? '', () => undefined)
const admin = new pg.Pool({ connectionString: process.env.TEST_ADMIN_URL })

afterAll(async () => {
  await server.pool.end()
  await admin.end()
})

test('the server signs in as the owner of its database, and as no superuser', async () => {
  const { rows } = await server.pool.query(`
    SELECT rolsuper, rolcreatedb, rolcreaterole, rolbypassrls,
      pg_get_userbyid((SELECT datdba FROM pg_database WHERE datname = current_database())) = rolname AS owns
    FROM pg_roles WHERE rolname = current_user`)
  expect(rows).toEqual([
    { rolsuper: false, rolcreatedb: false, rolcreaterole: false, rolbypassrls: false, owns: true },
  ])
})

test.each([
  ["COPY (SELECT 1) TO PROGRAM 'true'", /permission denied|must be superuser/],
  ["SELECT pg_read_file('/etc/passwd')", /permission denied/],
  ['CREATE ROLE other SUPERUSER', /permission denied|must be superuser/],
])('%s is refused', async (statement, refusal) => {
  await expect(server.pool.query(statement)).rejects.toThrow(refusal)
})

test('a database of the cluster’s own role is closed to it', async () => {
  await admin.query('CREATE DATABASE another_ones')
  await admin.query('REVOKE CONNECT ON DATABASE another_ones FROM PUBLIC')
  try {
    const url = (process.env.TEST_DATABASE_URL ?? '').replace(/\/[^/]*$/, '/another_ones')
    const other = new pg.Pool({ connectionString: url })
    await expect(other.query('SELECT 1')).rejects.toThrow(/permission denied/)
    await other.end()
  } finally {
    await admin.query('DROP DATABASE another_ones')
  }
})
