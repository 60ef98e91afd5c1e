import type { Lan } from '@even-watt/server/lan/lan'
import { codeOf } from '@even-watt/server/lan/code'

/** Tells the terminal how a phone comes to the bench: address, code to scan, fingerprint, and a passphrase that was just made. */
export async function sayLan(lan: Lan, made: string | undefined): Promise<void> {
  const { on, addresses, fingerprint } = await lan.state()
  if (!on) return
  const [first] = addresses
  if (first === undefined) {
    console.log('\nThe local network is open, but this computer is on none.')
    return
  }
  console.log(`\nFor devices of the local network: ${addresses.join(' or ')}`)
  console.log(await codeOf(first, 'terminal'))
  console.log(`Compare the certificate’s fingerprint before you type the passphrase:\n${fingerprint ?? ''}`)
  console.log(
    made === undefined
      ? 'The passphrase is the one you have; a new one is set on the page Phone.'
      : `The passphrase, shown this once: ${made}`,
  )
}
