/**
 * Where work goes that takes longer than others may wait: a task is a plain function of what can be sent to a thread, known
 * there by its name (thread.ts). A problem that it throws is thrown here.
 */
export interface Besides {
  readonly run: <A extends readonly unknown[], R>(task: (...sent: A) => R, ...sent: A) => Promise<R>
}

/** Where nobody else waits, as in a command: it is done at once. */
export const atOnce: Besides = {
  run: async (task, ...sent) => Promise.resolve(task(...sent)),
}

/** A task that took longer than any may. */
export class TookTooLong extends Error {}
