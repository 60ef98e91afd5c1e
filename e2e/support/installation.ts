import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { freePort } from '../../apps/server/src/cluster/cluster'

const root = fileURLToPath(new URL('../..', import.meta.url))

/** One Even Watt with a data folder of its own, started by the real start command. */
export class Installation {
  private child: ChildProcess | undefined
  /** Any that is free at the first start; the same at later ones, so that pages stay where they are. */
  port = 0
  /** One above `port` may be the near end of another walk’s connection, for a minute after its close too. */
  private lanPort = 0
  private constructor(readonly folder: string) {}

  /** A new one on a copy of the prepared data, which hold the demo; or on nothing at all. */
  static create(data: 'demo' | 'nothing' = 'demo'): Installation {
    const folder = mkdtempSync(join(tmpdir(), 'even-watt-e2e-'))
    const prepared = process.env['EVEN_WATT_PREPARED']
    // Owners and rights matter to PostgreSQL, so it is the system's own copy.
    if (data === 'demo' && prepared) spawnSync('cp', ['-a', `${prepared}/.`, folder])
    return new Installation(folder)
  }

  /** Another start on the data of one that is there. */
  static at(folder: string): Installation {
    return new Installation(folder)
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`
  }

  /** Resolves with all that was printed: when it is up, or when it ended. */
  async start(...args: string[]): Promise<{ output: string; code: number | null }> {
    this.lanPort ||= await freePort()
    const child = spawn('node', [join(root, 'scripts/start.mjs'), ...args], {
      cwd: root,
      env: {
        ...process.env,
        EVEN_WATT_DATA: this.folder,
        PORT: String(this.port),
        LAN_PORT: String(this.lanPort),
        LOG_LEVEL: 'error',
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    let output = ''
    const ended = new Promise<number | null>((resolve) => child.once('exit', resolve))
    const up = new Promise<void>((resolve) => {
      const read = (chunk: Buffer) => {
        output += chunk.toString()
        if (output.includes('Ctrl-C stops it.')) resolve()
      }
      child.stdout.on('data', read)
      child.stderr.on('data', read)
    })
    const code = await Promise.race([up.then(() => null), ended])
    if (code === null) {
      this.child = child
      this.port = Number(/Even Watt is at \S+:(\d+)/.exec(output)?.[1])
    }
    return { output, code }
  }

  /** SIGKILL, as a power cut would: nothing is tidied up. */
  async kill(): Promise<void> {
    await this.end('SIGKILL')
  }

  async stop(): Promise<void> {
    await this.end('SIGINT')
  }

  private async end(signal: NodeJS.Signals): Promise<void> {
    const { child } = this
    if (!child || child.exitCode !== null) return
    const gone = new Promise((resolve) => child.once('exit', resolve))
    child.kill(signal)
    await gone
    this.child = undefined
  }

  get postgresPid(): number {
    return Number(readFileSync(join(this.folder, 'postgres/postmaster.pid'), 'utf8').split('\n')[0])
  }

  async remove(): Promise<void> {
    await this.stop()
    rmSync(this.folder, { recursive: true, force: true })
  }
}
