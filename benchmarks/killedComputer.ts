import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Installation } from '../e2e/support/installation'
import { entriesIn, stepOf, trialOn } from './killing'

/** The processes of an installation: its server and all of its database. */
const allOf = (place: Installation): number[] =>
  execFileSync('ps', ['-e', '-o', 'pid=,ppid='], { encoding: 'utf8' })
    .split('\n')
    .map((line) => line.trim().split(/\s+/).map(Number))
    .flatMap(([pid = 0, parent]) => (parent === place.postgresPid ? [pid] : []))
    .concat(place.postgresPid)

/**
 * Readings are sent without a pause; in the middle of it everything stands still, as when the power goes, and what the disk holds
 * at that moment is started elsewhere. All that was acknowledged must be there, once.
 */
export async function killComputer(times: number): Promise<string> {
  const place = Installation.create('demo')
  await place.start()
  const trial = await trialOn(place.url, 'Power cut')
  const acknowledged: string[] = []
  let [lost, doubled, unstarted] = [0, 0, 0]
  let going = true
  const writing = (async () => {
    while (going) {
      const { id, answer } = await stepOf(place.url, trial)
      if (answer.ok) acknowledged.push(id)
    }
  })()
  for (let i = 0; i < times; i++) {
    await new Promise((resolve) => setTimeout(resolve, 100 + 300 * Math.random()))
    const copy = mkdtempSync(join(tmpdir(), 'even-watt-cut-'))
    const frozen = allOf(place)
    for (const pid of frozen) process.kill(pid, 'SIGSTOP')
    const before = acknowledged.length
    spawnSync('cp', ['-a', `${place.folder}/.`, copy])
    for (const pid of frozen) process.kill(pid, 'SIGCONT')
    const other = Installation.at(copy)
    const { code } = await other.start()
    if (code !== null) unstarted += 1
    else {
      const found = await entriesIn(other.url, trial)
      const ids = new Set(found)
      lost += acknowledged.slice(0, before).filter((id) => !ids.has(id)).length
      doubled += found.length - ids.size
    }
    await other.stop()
    rmSync(copy, { recursive: true, force: true })
  }
  going = false
  await writing
  await place.remove()
  return `${times} power cuts over ${acknowledged.length} readings: ${lost} lost, ${doubled} doubled, ${unstarted} that did not start`
}
