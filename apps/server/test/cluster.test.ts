import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import express from 'express'
import pg from 'pg'
import { canWrite } from '../src/cluster/account'
import { findPostgres } from '../src/cluster/binaries'
import { freePort, startCluster, StartError, type Cluster } from '../src/cluster/cluster'
import { commandLine, pause, startTicks } from '../src/cluster/processes'
import { close, listen } from '../src/listen'

jest.setTimeout(60_000)

const ask = async (url: string, sql: string) => {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  const { rows } = await client.query<Record<string, unknown>>(sql)
  await client.end()
  return rows
}

describe('the private cluster', () => {
  const folder = mkdtempSync(join(tmpdir(), 'even-watt-cluster-'))
  let running: Cluster | undefined
  const events: string[] = []
  const start = async () => {
    running = await startCluster(folder, (message) => events.push(message))
    return running
  }
  afterAll(async () => {
    await running?.stop()
    rmSync(folder, { recursive: true, force: true })
  })
  const pid = () => Number(readFileSync(join(folder, 'postgres/postmaster.pid'), 'utf8').split('\n')[0])

  it('is made at the first start, on loopback alone, behind a password', async () => {
    const { url } = await start()
    expect(await ask(url, 'show listen_addresses')).toEqual([{ listen_addresses: '127.0.0.1' }])
    expect(await ask(url, 'show server_encoding')).toEqual([{ server_encoding: 'UTF8' }])
    await expect(ask(url.replace(/:[0-9a-f]+@/, ':wrong@'), 'select 1')).rejects.toThrow(
      'password authentication failed',
    )
  })

  it('keeps what it holds over a stop, and past a stale pid file', async () => {
    const { url, stop } = running as Cluster
    await ask(url, 'create table kept (x int)')
    await stop()
    writeFileSync(join(folder, 'postgres/postmaster.pid'), `${process.pid}\n\n\n1\n`)
    const again = await start()
    expect(await ask(again.url, 'select count(*)::int as n from kept')).toEqual([{ n: 0 }])
  })

  it('is started again, on its port, when it dies', async () => {
    const { url } = running as Cluster
    process.kill(pid(), 'SIGKILL')
    const answers = () => ask(url, 'select 1 as one').catch(() => undefined)
    let answer = await answers()
    for (let i = 0; i < 100 && !events.length; i++) await pause(50)
    for (let i = 0; i < 100 && !answer; i++) {
      await pause(100)
      answer = await answers()
    }
    expect(answer).toEqual([{ one: 1 }])
    expect(events).toEqual(['PostgreSQL ended unexpectedly; starting it again.'])
  })

  it('says which folder it cannot use', async () => {
    const file = join(folder, 'a-file')
    writeFileSync(file, '')
    await expect(startCluster(join(file, 'below'), () => undefined)).rejects.toThrow(StartError)
    expect(canWrite('/nowhere-at-all', undefined)).toBe(false)
    expect(findPostgres()).toMatch(/\/usr\/lib\/postgresql\/\d+\/bin/)
  })
})

describe('processes', () => {
  it('are told by their command line and their start', () => {
    expect(commandLine(process.pid)).toContain('node')
    expect(startTicks(process.pid)).toMatch(/^\d+$/)
    expect(commandLine(2 ** 22 - 1)).toBeUndefined()
    expect(startTicks(2 ** 22 - 1)).toBeUndefined()
  })
})

describe('listening', () => {
  it('answers on loopback until it is closed', async () => {
    const port = await freePort()
    const app = express().get('/', (_request, response) => void response.send('here'))
    const server = await listen(app, '127.0.0.1', port)
    expect(await (await fetch(`http://127.0.0.1:${port}/`)).text()).toBe('here')
    await close(server)
    await expect(fetch(`http://127.0.0.1:${port}/`)).rejects.toThrow()
  })

  it('names a busy port and refuses addresses beyond this machine', async () => {
    const port = await freePort()
    const other = createServer().listen(port, '127.0.0.1')
    await new Promise((resolve) => other.once('listening', resolve))
    await expect(listen(express(), '127.0.0.1', port)).rejects.toThrow(
      `Port ${port} is used by another program. Choose another, for example: PORT=${port + 1} npm start`,
    )
    await new Promise((resolve) => other.close(resolve))
    for (const host of ['0.0.0.0', '192.168.1.5', '::'])
      await expect(listen(express(), host, port)).rejects.toThrow('loopback only')
  })
})
