// npm run backup -- FILE: the whole installation in one file, while it runs or while it stands still.
import { verifyBackup } from '@even-watt/server/backup/archive'
import { backupTo } from '@even-watt/server/backup/write'
import { runningCluster, startCluster } from '@even-watt/server/cluster/cluster'
import { StartError } from '@even-watt/server/cluster/startError'
import { createWriteStream, existsSync, renameSync } from 'node:fs'
import { command } from './command'
import { dataFolder } from './dataFolder'
import { holdRun } from './runLock'

command(async ([file]) => {
  if (!file)
    throw new StartError('Say which file to write: npm run backup -- /media/stick/even-watt.backup.zip')
  if (existsSync(file))
    throw new StartError(`${file} is there already. Choose another name; nothing was overwritten.`)
  const folder = dataFolder()
  if (!existsSync(folder)) throw new StartError(`There is nothing to back up in ${folder}.`)
  const running = runningCluster(folder)
  const lock = running ? undefined : await holdRun(folder)
  const own = running ? undefined : await startCluster(folder, () => undefined)
  try {
    const ground = running ?? own
    if (!ground) throw new StartError('The database cannot be reached.')
    const summary = await backupTo(createWriteStream(`${file}.part`, { mode: 0o600 }), ground.url)
    await verifyBackup(`${file}.part`)
    renameSync(`${file}.part`, file)
    const { trials, entries, documents, files } = summary
    return `Backed up and verified: ${trials} trials, ${entries} entries, ${documents} documents such as units and rigs, ${files} files, in ${file}.`
  } finally {
    await own?.stop()
    await lock?.release()
  }
})
