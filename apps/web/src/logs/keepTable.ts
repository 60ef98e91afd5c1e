import type { LogFile } from '@even-watt/contract'
import type { Log } from '@even-watt/core'
import type { TakenLog } from '@even-watt/core/logs/read/index'
import { capture } from '../outbox/capture'
import { holdFile } from '../outbox/files'

/** Keeps the packed rows and then the entry that names them; resolves with why it cannot be. */
export async function keepTable(
  trial: string,
  revision: number,
  log: Log,
  file: File,
  { bytes, reading }: TakenLog,
  from: string,
): Promise<{ why?: string }> {
  const held = await holdFile(bytes.buffer, {
    name: `${file.name.replace(/\.[^.]*$/, '').slice(0, 190)}.log`,
    type: 'application/octet-stream',
  })
  const whole: LogFile = {
    ...held,
    log: log.entry.id,
    source: { name: file.name.slice(0, 200), size: file.size },
    from,
    ...reading,
  }
  const captured = capture(trial, { kind: 'log file', revision, reading: whole })
  if ('faults' in captured) return { why: captured.faults.map(({ message }) => message).join(' ') }
  await captured.kept
  return {}
}
