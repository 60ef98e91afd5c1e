import { homedir } from 'node:os'
import { join } from 'node:path'

/** EVEN_WATT_DATA, else where the system keeps such data: under /var/lib for root, the home folder for others. */
export function dataFolder(): string {
  if (process.env['EVEN_WATT_DATA']) return process.env['EVEN_WATT_DATA']
  if (process.getuid?.() === 0) return '/var/lib/even-watt'
  return join(process.env['XDG_DATA_HOME'] ?? join(homedir(), '.local', 'share'), 'even-watt')
}
