import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import express from 'express'
import pg from 'pg'
import { canWrite } from '../src/cluster/account'
import { installedPostgres } from '../src/cluster/binaries'
import { freePort, startCluster, type Cluster } from '../src/cluster/cluster'
import { onDisk, StartError } from '../src/cluster/startError'
import { supervise } from '../src/cluster/supervise'
import { refuseNewer } from '../src/database/newer'
import { commandLine, pause, runningIn, startTicks } from '../src/cluster/processes'
import { close, listen } from '../src/listen'

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

  it('takes up what a kill in the midst of a restore left', async () => {
    const { adminUrl, stop } = running as Cluster
    // As PostgreSQL leaves a database that it was dropping; and beside it, whole, what was restored.
    await ask(adminUrl, 'create database even_watt_restoring')
    await ask(adminUrl.replace('/template1', '/even_watt_restoring'), 'create table public.restored (x int)')
    await ask(adminUrl, 'create database even_watt_replaced')
    await ask(adminUrl, `update pg_database set datconnlimit = -2 where datname = 'even_watt'`)
    await stop()
    const again = await start()
    const names = `select datname from pg_database where datname like 'even_watt%'`
    expect(await ask(again.adminUrl, names)).toEqual([{ datname: 'even_watt' }])
    expect(await ask(again.url, `select to_regclass('public.restored') is not null as here`)).toEqual([
      { here: true },
    ])
  })

  it('is not started beside processes that its dead postmaster left at work', async () => {
    const { url } = running as Cluster
    await ask(url, 'create table if not exists busy (x int)')
    const client = new pg.Client({ connectionString: url })
    client.on('error', () => undefined)
    await client.connect()
    // A backend in the midst of something long does not see at once that its postmaster is gone.
    const busy = client.query('select sum(x) from generate_series(1, 200000000) as x').catch(() => 'ended')
    await pause(300)
    const before = runningIn(join(folder, 'postgres'))
    expect(before.length).toBeGreaterThan(3)
    process.kill(pid(), 'SIGKILL')
    let answer: unknown
    for (let i = 0; i < 200 && !answer; i++) {
      await pause(100)
      answer = await ask(url, 'select 1 as one').catch(() => undefined)
    }
    expect(answer).toEqual([{ one: 1 }])
    expect(await busy).toBe('ended')
    const now = runningIn(join(folder, 'postgres'))
    expect(now.filter((one) => before.includes(one))).toEqual([])
  })

  it('says which folder it cannot use', async () => {
    const file = join(folder, 'a-file')
    writeFileSync(file, '')
    await expect(startCluster(join(file, 'below'), () => undefined)).rejects.toThrow(StartError)
    expect(canWrite('/nowhere-at-all', undefined)).toBe(false)
    expect(installedPostgres()[0]?.bin).toMatch(/\/usr\/lib\/postgresql\/\d+\/bin/)
  })
})

describe('data of before', () => {
  const folder = mkdtempSync(join(tmpdir(), 'even-watt-before-'))
  let running: Cluster | undefined
  const start = async () => {
    await running?.stop()
    return (running = await startCluster(folder, () => undefined))
  }
  afterAll(async () => {
    await running?.stop()
    rmSync(folder, { recursive: true, force: true })
  })

  it('begin anew after a first start that was cut before its password was whole', async () => {
    writeFileSync(join(folder, 'password'), '')
    const { url } = await start()
    expect(
      await ask(url, 'select current_user::text as me, rolsuper from pg_roles where rolname = current_user'),
    ).toEqual([{ me: 'even_watt_app', rolsuper: false }])
    expect(await ask(url, 'show data_checksums')).toEqual([{ data_checksums: 'on' }])
  })

  it('that stood in another database and belonged to the superuser are handed over, whole', async () => {
    const { adminUrl, url } = running as Cluster
    const inPostgres = Object.assign(new URL(adminUrl), { pathname: 'postgres' }).href
    await ask(adminUrl, 'drop database even_watt')
    await ask(inPostgres, 'create table public.trial (id bigint generated always as identity, title text)')
    await ask(inPostgres, `insert into public.trial (title) values ('kept')`)
    await ask(inPostgres, 'create function public.refuse() returns int language sql as $$ select 1 $$')
    const again = await start()
    expect(await ask(again.url, 'select title from trial')).toEqual([{ title: 'kept' }])
    await ask(again.url, `insert into trial (title) values ('mine')`)
    await ask(again.url, 'alter table trial add column more int')
    expect(url.split('/').at(-1)).toBe('even_watt')
  })

  it('are never entered by the superuser, whatever a stranger’s backup may have put there', async () => {
    await ask((running as Cluster).adminUrl, 'alter database even_watt allow_connections false')
    const { adminUrl } = await start()
    await ask(adminUrl, 'alter database even_watt allow_connections true')
    // Nor is anything there taken for what the system calls so.
    expect(await ask(adminUrl, 'show search_path')).toEqual([{ search_path: 'pg_catalog' }])
  })

  it('of a newer Even Watt are refused before anything is changed', async () => {
    const { url } = running as Cluster
    await ask(url, 'create table migration (id int, name text, run_on timestamp)')
    await ask(url, `insert into migration values (1, '999_later', now())`)
    await expect(refuseNewer(url)).rejects.toThrow('newer Even Watt (999_later is not known here)')
  })

  it('of another version of PostgreSQL are refused with what to install', async () => {
    await running?.stop()
    const version = join(folder, 'postgres/PG_VERSION')
    const own = readFileSync(version, 'utf8')
    writeFileSync(version, '9\n')
    await expect(start()).rejects.toThrow('are of PostgreSQL 9')
    await expect(start()).rejects.toThrow('Install postgresql-9')
    writeFileSync(version, own)
    await start()
  })

  it('on a full disk are left alone, and the disk is named', () => {
    const full = () => {
      throw Object.assign(new Error('write'), { code: 'ENOSPC' })
    }
    expect(() => onDisk('/data', full)).toThrow('The disk that holds /data is full.')
  })
})

describe('a server that does not stay up', () => {
  it('is tried again with growing pauses, which is said once', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'even-watt-dies-'))
    const events: string[] = []
    const from = Date.now()
    const at: number[] = []
    const supervised = supervise(
      { bin: '/nowhere', data: folder, folder, port: 1, account: () => undefined },
      undefined,
      (message) => {
        at.push(Date.now() - from)
        events.push(message)
      },
    )
    for (let i = 0; i < 200 && events.length < 2; i++) await pause(100)
    await supervised.stop()
    rmSync(folder, { recursive: true, force: true })
    expect(events[0]).toMatch(/ended unexpectedly \(.*ENOENT.*\); starting it again/)
    expect(events[1]).toContain('does not stay up')
    // 0.5 + 1 + 2 + 4 s of pauses lie between the first failure and the fifth.
    expect(at[1]).toBeGreaterThan(7000)
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
