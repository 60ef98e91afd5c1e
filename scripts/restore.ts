// npm run restore -- FILE: a backup into a fresh installation, verified; nothing that is there is overwritten.
import { restoreInto } from '@even-watt/server/backup/restore'
import { databaseAccount } from '@even-watt/server/cluster/account'
import { startCluster } from '@even-watt/server/cluster/cluster'
import { prepareFolder } from '@even-watt/server/cluster/folder'
import { StartError } from '@even-watt/server/cluster/startError'
import { existsSync } from 'node:fs'
import { command } from './command'
import { dataFolder } from './dataFolder'
import { holdRun } from './runLock'

command(async ([file]) => {
  if (!file) throw new StartError('Say which backup: npm run restore -- /media/stick/even-watt.backup.zip')
  if (!existsSync(file)) throw new StartError(`${file} is not there.`)
  const folder = dataFolder()
  prepareFolder(folder, databaseAccount())
  const lock = await holdRun(folder)
  const cluster = await startCluster(folder, () => undefined)
  try {
    const { trials, entries, documents, files } = await restoreInto({ ...cluster, folder }, file)
    return `Restored and verified: ${trials} trials, ${entries} entries, ${documents} documents such as units and rigs, ${files} files, in ${folder}. Now: npm start`
  } finally {
    await cluster.stop()
    await lock.release()
  }
})
