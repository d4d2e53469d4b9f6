import path from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = path.join(path.dirname(fileURLToPath(import.meta.url)), '..', '..')
/** Everything that running leaves behind: JOKULGALE_HOME, or a folder here that is git-ignored. */
export const stateFolder = path.resolve(process.env.JOKULGALE_HOME ?? path.join(root, '.jokulgale'))
/** Where the demonstration's database is, or that of a shop of one's own. */
export const databaseFolder = (isOwn) => path.join(stateFolder, isOwn ? 'own-database' : 'database')
/** Says which `npm start` runs. */
export const startLock = path.join(stateFolder, 'start.json')
export const serverFolder = path.join(root, 'apps', 'server')
export const serverBundle = path.join(serverFolder, 'dist', 'main.mjs')
export const fieldFolder = path.join(root, 'apps', 'field')
export const webFolder = path.join(fieldFolder, 'dist')
