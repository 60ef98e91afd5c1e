import { Installation } from './installation'

/**
 * Prepares the demo's data once, for every installation of the tests to copy; and one installation for all tests that
 * only look, or add what does not disturb the others.
 */
export default async function globalSetup(): Promise<() => Promise<void>> {
  const prepared = Installation.create('nothing')
  const { output, code } = await prepared.start()
  if (code !== null) throw new Error(`The start command failed:\n${output}`)
  await prepared.stop()
  process.env['EVEN_WATT_PREPARED'] = prepared.folder
  const demo = Installation.create()
  const started = await demo.start()
  if (started.code !== null) throw new Error(`The start command failed:\n${started.output}`)
  process.env['EVEN_WATT_DEMO'] = demo.url
  return async () => {
    await demo.remove()
    await prepared.remove()
  }
}
