import { createHash } from 'node:crypto'
import { realpathSync } from 'node:fs'
import { connect, createServer, type Server } from 'node:net'
import { StartError } from '@even-watt/server/cluster/startError'

/**
 * The lock of a data folder is a socket that the system itself takes away when its holder ends, however it ends: there
 * is no file to go stale, and of two starts at once only one gets it. Whoever asks it is told the holder's address.
 */
const nameOf = (folder: string) =>
  `\0even-watt-${createHash('sha256').update(realpathSync(folder)).digest('hex').slice(0, 32)}`

export interface RunLock {
  /** What a second start is told; before that, that this one is starting. */
  readonly say: (address: string) => void
  readonly release: () => Promise<void>
}

function askHolder(name: string): Promise<string> {
  return new Promise((resolve) => {
    let told = ''
    const socket = connect(name)
    socket.setTimeout(2000, () => socket.destroy())
    socket.on('data', (chunk: Buffer) => (told += chunk.toString()))
    socket.on('error', () => undefined)
    socket.on('close', () => resolve(told))
  })
}

/** Takes the lock of a folder that is there, or throws a sentence that says who has it. */
export async function holdRun(folder: string): Promise<RunLock> {
  const name = nameOf(folder)
  let address: string | undefined
  const server = createServer((socket) => {
    socket.on('error', () => undefined)
    socket.end(
      `${address === undefined ? 'is starting already' : `is running already, at ${address}`} (process ${process.pid})`,
    )
  })
  await new Promise<void>((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      if (error.code !== 'EADDRINUSE') reject(error)
      else
        void askHolder(name).then((told) =>
          reject(new StartError(`Even Watt ${told || 'is running already'}.`)),
        )
    })
    server.listen(name, resolve)
  })
  server.unref()
  return { say: (told) => (address = told), release: () => closed(server) }
}

const closed = (server: Server) => new Promise<void>((resolve) => server.close(() => resolve()))
