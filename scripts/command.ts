import { StartError } from '@even-watt/server/cluster/startError'

/** Runs a command to its end: what goes wrong is a sentence at the terminal, and a code that scripts see. */
export function command(work: (args: readonly string[]) => Promise<string>): void {
  work(process.argv.slice(2)).then(
    (sentence) => {
      console.log(sentence)
      process.exit(0)
    },
    (error: unknown) => {
      console.error(error instanceof StartError ? error.message : error)
      process.exit(1)
    },
  )
}
