import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { currentRun, holdRun, releaseRun } from './runLock'

describe('the lock of a run', () => {
  const folder = mkdtempSync(join(tmpdir(), 'even-watt-lock-'))
  afterAll(() => rmSync(folder, { recursive: true }))
  const write = (text: string) => writeFileSync(join(folder, 'run.json'), text)

  it('is held by a living process and gone when released', () => {
    expect(currentRun(folder)).toBeUndefined()
    holdRun(folder, 'http://127.0.0.1:4600')
    expect(currentRun(folder)).toMatchObject({ pid: process.pid, address: 'http://127.0.0.1:4600' })
    releaseRun(folder)
    expect(currentRun(folder)).toBeUndefined()
  })

  it('does not bind a later process of the same number, nor outlive its own', () => {
    write(JSON.stringify({ pid: process.pid, ticks: '1', address: 'x' }))
    expect(currentRun(folder)).toBeUndefined()
    write(JSON.stringify({ pid: 2 ** 22 - 1, ticks: '1', address: 'x' }))
    expect(currentRun(folder)).toBeUndefined()
  })

  it('cut off by a power cut is no lock', () => {
    write('{"pid": 12')
    expect(currentRun(folder)).toBeUndefined()
  })
})
