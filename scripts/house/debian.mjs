import { existsSync } from 'node:fs'
import { mkdir, readdir, writeFile } from 'node:fs/promises'
import { run } from './run.mjs'

const isRoot = process.getuid?.() === 0
let listed = false

/** Installs Debian packages when running as root; otherwise says what to install. */
async function install(packages, what) {
  if (!isRoot)
    throw new Error(`${what} is missing. Install it once as root: apt-get install -y ${packages.join(' ')}`)
  console.log(`Installing ${what} from Debian's packages …`)
  const options = { quiet: true, env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } }
  if (!listed) await run('apt-get', ['update'], options)
  listed = true
  await run('apt-get', ['install', '-y', '--no-install-recommends', ...packages], options)
}

const home = '/usr/lib/postgresql'

/** Where Debian keeps the programs of a PostgreSQL version. */
export const programsOf = (version) => `${home}/${version}/bin`

/** The newest PostgreSQL server's folder of programs. */
export async function findPostgres() {
  const find = async () => {
    const versions = existsSync(home) ? (await readdir(home)).sort((a, b) => Number(b) - Number(a)) : []
    return versions.map(programsOf).find((folder) => existsSync(`${folder}/initdb`))
  }
  const found = await find()
  if (found) return found
  if (isRoot) {
    // the package would otherwise make and start a cluster of its own
    await mkdir('/etc/postgresql-common/createcluster.d', { recursive: true })
    await writeFile('/etc/postgresql-common/createcluster.d/jokulgale.conf', 'create_main_cluster = false\n')
  }
  await install(['postgresql'], 'PostgreSQL')
  const installed = await find()
  if (!installed)
    throw new Error('PostgreSQL was installed but its programs are not under /usr/lib/postgresql')
  return installed
}

export async function findChromium() {
  if (!existsSync('/usr/bin/chromium')) await install(['chromium'], 'Chromium')
  return '/usr/bin/chromium'
}

export async function findNgspice() {
  if (!existsSync('/usr/bin/ngspice')) await install(['ngspice'], 'ngspice')
  return '/usr/bin/ngspice'
}

/** Everything from Debian that the checks need: only one installation can run at a time. */
export async function findAll() {
  await findPostgres()
  await findChromium()
  await findNgspice()
}
