import { fork } from 'node:child_process'
import { ordinaryUser } from './ordinaryUser.mjs'
import { serverBundle, serverFolder } from './paths.mjs'

/**
 * Starts the built server as a process of its own, never as root where it can be helped; resolves when it
 * listens.
 */
export async function startServer({ databaseUrl, sessionSecret, port, webFolder, environment = {} }) {
  const user = await ordinaryUser()
  return new Promise((resolve, reject) => {
    const child = fork(serverBundle, [], {
      ...user,
      env: {
        ...process.env,
        NODE_ENV: 'production',
        DATABASE_URL: databaseUrl,
        SESSION_SECRET: sessionSecret,
        PORT: String(port),
        SERVER_ROOT: serverFolder,
        ...(webFolder ? { WEB_FOLDER: webFolder } : {}),
        ...environment,
      },
    })
    child.once('message', () => resolve(child))
    child.once('exit', (code) => reject(new Error(`the server ended before it was ready (${code})`)))
  })
}

export const stopServer = (child) =>
  new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) {
      resolve()
      return
    }
    child.once('exit', resolve)
    child.kill('SIGTERM')
  })
