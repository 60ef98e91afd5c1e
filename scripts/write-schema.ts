import { writeFileSync } from 'node:fs'
import { trialJsonSchema } from '@even-watt/contract'

/** Writes the published JSON Schema of an exported trial. */
writeFileSync(
  new URL('../docs/trial.schema.json', import.meta.url),
  `${JSON.stringify(trialJsonSchema(), null, 2)}\n`,
)
