import { Installation } from './installation'

/** One installation with the demo for all tests that only look, or add what does not disturb the others. */
export default async function globalSetup(): Promise<() => Promise<void>> {
  const demo = await Installation.create()
  const { output, code } = await demo.start()
  if (code !== null) throw new Error(`The start command failed:\n${output}`)
  process.env['EVEN_WATT_DEMO'] = demo.url
  return () => demo.remove()
}
