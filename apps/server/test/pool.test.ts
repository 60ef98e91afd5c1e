import { setTimeout as pause } from 'node:timers/promises'
import { pino } from 'pino'
import { createPool } from '../src/database/pool'

const said: string[] = []
const log = pino({ level: 'warn' }, { write: (line: string) => void said.push(line) })
const pool = createPool(process.env['EVEN_WATT_TEST_DATABASE'] ?? '', log)
const heard = () => said.map((line) => (JSON.parse(line) as { msg: string }).msg)

describe('connections to the database', () => {
  it('that break are told of once, in a sentence, and opened again by the next question', async () => {
    const [idle, busy] = [await pool.connect(), await pool.connect()]
    const { rows } = await idle.query<{ pid: number }>('select pg_backend_pid() as pid')
    idle.release()
    await busy.query('select pg_terminate_backend($1)', [rows[0]?.pid])
    while (!said.length) await pause(20)
    busy.release()
    expect(heard()).toEqual([
      'A database connection broke: terminating connection due to administrator command',
    ])
    expect((await pool.query('select 1 as one')).rows).toEqual([{ one: 1 }])
  })

  it('that break because all of it ends are not told of', async () => {
    const open = await pool.connect()
    said.length = 0
    const ended = pool.end()
    open.emit('error', new Error('terminating connection due to administrator command'))
    open.release()
    await ended
    expect(said).toEqual([])
  })
})
