import { resolve } from 'node:path'

/** Where the bundle of the tests lies in the copy that is changed. */
export const bundled = () => resolve('.mutants/verdicts.js')
