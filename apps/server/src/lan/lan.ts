import type { LanState } from '@even-watt/contract'
import type { Express } from 'express'
import { createServer, type Server } from 'node:https'
import type { Pool } from 'pg'
import { StartError } from '../cluster/startError'
import { recall, remember } from '../database/installation'
import { close } from '../listen'
import { lanAddresses } from './addresses'
import { certificateIn, type Certificate } from './certificate'
import { codeOf } from './code'
import { listDevices, shutAllOut } from './devices'
import { hasPassphrase, keepPassphrase, makePassphrase } from './passphrase'

export interface LanGround {
  readonly pool: Pool
  /** Where the certificate is kept. */
  readonly folder: string
  readonly port: () => number
  /** The server for devices, which answers to the names only that it is told of: "192.168.1.20:4601". */
  readonly appFor: (answers: (name: string) => boolean) => Express
}

/**
 * The bench on the local network: a second server with TLS and a door, beside the one on loopback. It opens only with a
 * passphrase; whether it is open outlasts a restart.
 */
export class Lan {
  private server: Server | undefined
  private certificate: Certificate | undefined

  constructor(private readonly ground: LanGround) {}

  /** Opens it; a passphrase that is made here is told once. Where it is asked for, all who came in before are shut out. */
  async open(passphrase?: string, shutOut = false): Promise<string | undefined> {
    const { pool, folder, appFor } = this.ground
    const port = this.ground.port()
    const made = passphrase === undefined && !(await hasPassphrase(pool)) ? makePassphrase() : undefined
    const kept = passphrase ?? made
    if (kept !== undefined) await keepPassphrase(pool, kept)
    if (shutOut) {
      await shutAllOut(pool)
      this.hangUp()
    }
    if (!this.server) {
      const certificate = await certificateIn(folder)
      // Looked up at each request: a computer may come to another network while it runs.
      const answers = (name: string) => lanAddresses().some((address) => name === `${address}:${port}`)
      const server = createServer({ key: certificate.key, cert: certificate.cert }, appFor(answers))
      await new Promise<void>((resolve, reject) => {
        server.once('error', (error: NodeJS.ErrnoException) =>
          reject(
            error.code === 'EADDRINUSE'
              ? new StartError(`Port ${port}, for devices of the local network, is used by another program.`)
              : error,
          ),
        )
        server.listen(port, '0.0.0.0', () => resolve())
      })
      this.server = server
      this.certificate = certificate
    }
    await remember(pool, 'lan', 'on')
    return made
  }

  async shut(): Promise<void> {
    await remember(this.ground.pool, 'lan', 'off')
    await this.end()
  }

  /** For the end of a run: it is open again at the next. */
  async end(): Promise<void> {
    const { server } = this
    this.server = undefined
    if (server) await close(server)
  }

  /** Ends what is under way, so that whoever was shut out follows nothing any longer; all others come again. */
  hangUp(): void {
    this.server?.closeAllConnections()
  }

  wasOpen = async (): Promise<boolean> => (await recall(this.ground.pool, 'lan')) === 'on'

  async state(madePassphrase?: string): Promise<LanState> {
    const { pool } = this.ground
    const on = this.server !== undefined
    const addresses = on ? lanAddresses().map((address) => `https://${address}:${this.ground.port()}`) : []
    const [first] = addresses
    return {
      on,
      addresses,
      ...(on && this.certificate ? { fingerprint: this.certificate.fingerprint } : {}),
      ...(first ? { code: await codeOf(first, 'page') } : {}),
      hasPassphrase: await hasPassphrase(pool),
      ...(madePassphrase === undefined ? {} : { madePassphrase }),
      devices: await listDevices(pool),
    }
  }
}
