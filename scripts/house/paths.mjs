import path from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = path.join(path.dirname(fileURLToPath(import.meta.url)), '..', '..')
/** Everything that running leaves behind; git-ignored. */
export const stateFolder = path.join(root, '.jokulgale')
export const serverFolder = path.join(root, 'apps', 'server')
export const serverBundle = path.join(serverFolder, 'dist', 'main.mjs')
export const fieldFolder = path.join(root, 'apps', 'field')
export const webFolder = path.join(fieldFolder, 'dist')
