import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { holdRun } from './runLock'

describe('the lock of a run', () => {
  const folder = mkdtempSync(join(tmpdir(), 'even-watt-lock-'))
  afterAll(() => rmSync(folder, { recursive: true }))

  it('is held once, says by whom and where, and can be had again when it is released', async () => {
    const first = await holdRun(folder)
    await expect(holdRun(folder)).rejects.toThrow(`Even Watt is starting already (process ${process.pid}).`)
    first.say('http://127.0.0.1:4600')
    await expect(holdRun(folder)).rejects.toThrow('Even Watt is running already, at http://127.0.0.1:4600')
    await first.release()
    await (await holdRun(folder)).release()
  })

  it('goes to one of many that ask at once', async () => {
    const tries = await Promise.allSettled(Array.from({ length: 20 }, () => holdRun(folder)))
    const held = tries.filter((one) => one.status === 'fulfilled')
    expect(held).toHaveLength(1)
    await held[0]?.value.release()
  })

  it('ends with its holder, even one that is killed', async () => {
    const script = `
      const { register } = require('tsx/cjs/api'); register()
      require('./scripts/runLock.ts').holdRun(process.argv[1]).then(() => { console.log('held'); setInterval(() => {}, 1000) })`
    const holder = spawn(process.execPath, ['-e', script, folder], { stdio: ['ignore', 'pipe', 'inherit'] })
    await new Promise((resolve) => holder.stdout.once('data', resolve))
    await expect(holdRun(folder)).rejects.toThrow('is starting already')
    const gone = new Promise((resolve) => holder.once('exit', resolve))
    holder.kill('SIGKILL')
    await gone
    await (await holdRun(folder)).release()
  })
})
