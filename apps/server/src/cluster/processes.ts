import { readdirSync, readFileSync, readlinkSync, realpathSync } from 'node:fs'

/** Command line of a running process, or undefined when there is none of that number. */
export function commandLine(pid: number): string | undefined {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ')
  } catch {
    return undefined
  }
}

/** When a process was started, in clock ticks since boot: tells it from a later one of the same number. */
export function startTicks(pid: number): string | undefined {
  try {
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1)?.split(' ')[19]
  } catch {
    return undefined
  }
}

export const pause = (milliseconds: number) =>
  new Promise<void>((resolve) => setTimeout(resolve, milliseconds))

/** Processes whose working folder is this one; those of others that may not be looked at are passed over. */
export function runningIn(folder: string): number[] {
  const real = realpathSync(folder)
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((pid) => {
      try {
        return readlinkSync(`/proc/${pid}/cwd`) === real
      } catch {
        return false
      }
    })
    .map(Number)
}

export function signal(pid: number, name: NodeJS.Signals): void {
  try {
    process.kill(pid, name)
  } catch {
    // Already gone.
  }
}
