import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { startTicks } from '@even-watt/server/cluster/processes'

interface Run {
  readonly pid: number
  /** Tells this process from a later one of the same number. */
  readonly ticks: string | undefined
  readonly address: string
}

const fileIn = (folder: string) => join(folder, 'run.json')

/** The run that holds this data folder now, when its process is still alive. */
export function currentRun(folder: string): Run | undefined {
  if (!existsSync(fileIn(folder))) return undefined
  try {
    const run = JSON.parse(readFileSync(fileIn(folder), 'utf8')) as Run
    return startTicks(run.pid) !== undefined && startTicks(run.pid) === run.ticks ? run : undefined
  } catch {
    // Cut off by a killed run.
    return undefined
  }
}

export function holdRun(folder: string, address: string): void {
  const run: Run = { pid: process.pid, ticks: startTicks(process.pid), address }
  writeFileSync(fileIn(folder), JSON.stringify(run))
}

export const releaseRun = (folder: string): void => rmSync(fileIn(folder), { force: true })
