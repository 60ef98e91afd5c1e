/** A sentence for the person at the terminal instead of a stack. */
export class StartError extends Error {}

const code = (error: unknown): string | undefined =>
  typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : undefined

export const diskFull = (folder: string) =>
  new StartError(
    `The disk that holds ${folder} is full. Make some room (a few hundred MB) and start again; nothing stored is lost.`,
  )

/** Does something with files of the data folder; a full disk is said as such. */
export function onDisk<T>(folder: string, work: () => T): T {
  try {
    return work()
  } catch (error) {
    throw code(error) === 'ENOSPC' ? diskFull(folder) : error
  }
}
