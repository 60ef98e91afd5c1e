import { Installation } from '../e2e/support/installation'

const restore = (url: string, backup: Uint8Array<ArrayBuffer>) =>
  fetch(`${url}/api/backup`, { method: 'PUT', body: backup }).then(
    (answer) => answer.status,
    () => 0,
  )

const countIn = async (url: string) =>
  ((await (await fetch(`${url}/api/trials`)).json()) as { total: number }).total

/**
 * A backup is restored on its page, and at some moment of it the server or the database is killed. Started again, the installation
 * must hold all of the backup, or nothing, so that the restore can be done again.
 */
export async function killRestore(times: number): Promise<string> {
  const from = Installation.create('demo')
  await from.start()
  const backup = new Uint8Array(await (await fetch(`${from.url}/api/backup`)).arrayBuffer())
  const whole = await countIn(from.url)
  await from.remove()
  const once = Installation.create('nothing')
  await once.start('--empty')
  const begun = performance.now()
  await restore(once.url, backup)
  const takes = performance.now() - begun
  await once.remove()
  let [half, stuck, done, nothing] = [0, 0, 0, 0]
  for (let i = 0; i < times; i++) {
    const place = Installation.create('nothing')
    await place.start('--empty')
    const restoring = restore(place.url, backup)
    await new Promise((resolve) => setTimeout(resolve, 1.1 * takes * Math.random()))
    if (i % 2) process.kill(place.postgresPid, 'SIGKILL')
    else await place.kill()
    await restoring
    if (i % 2) await place.stop()
    const { code, output } = await place.start()
    if (code !== null) {
      stuck += 1
      console.log(`Not started again (exit code ${code}):\n${output}`)
    } else {
      const found = await countIn(place.url)
      if (found === whole) done += 1
      else if (found > 0) half += 1
      else {
        nothing += 1
        const status = await restore(place.url, backup)
        if (status !== 200 || (await countIn(place.url)) !== whole) stuck += 1
      }
    }
    await place.remove()
  }
  return `${times} restores killed on the way: ${done} were done, ${nothing} had done nothing and were done again, ${half} half done, ${stuck} stuck`
}
