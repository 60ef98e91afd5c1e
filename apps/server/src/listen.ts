import type { Express } from 'express'
import { createServer, type Server } from 'node:http'
import type { Server as SecureServer } from 'node:https'
import { StartError } from './cluster/startError'
import { isLoopback } from './http/guard'

/** Listens on loopback; another address needs a passphrase and TLS, and is opened as such, so it is refused here. */
export function listen(app: Express, host: string, port: number): Promise<Server> {
  if (!isLoopback(host)) {
    return Promise.reject(
      new StartError(
        `Without a passphrase and TLS Even Watt listens on loopback only, not on ${host}. For devices of the local network: npm start -- --lan`,
      ),
    )
  }
  const server = createServer(app)
  return new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      reject(refusedPort(error, port))
    })
    server.listen(port, host, () => resolve(server))
  })
}

function refusedPort(error: NodeJS.ErrnoException, port: number): Error {
  if (error.code === 'EADDRINUSE')
    return new StartError(
      `Port ${port} is used by another program. Choose another, for example: PORT=${port + 1} npm start`,
    )
  return error.code === 'EACCES'
    ? new StartError(
        `Port ${port} is the system’s own here. Choose one from 1024 on, for example: PORT=4600 npm start`,
      )
    : error
}

/** The port a server listens on, which the system chose where it was asked for any. */
export function portOf(server: Server): number {
  const address = server.address()
  return typeof address === 'object' && address ? address.port : 0
}

/** Finishes what is under way, then closes; gives up waiting after two seconds. */
export function close(server: Server | SecureServer): Promise<void> {
  return new Promise((resolve) => {
    server.close(() => resolve())
    server.closeIdleConnections()
    setTimeout(() => {
      server.closeAllConnections()
      resolve()
    }, 2000).unref()
  })
}
