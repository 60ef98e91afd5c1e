import { X509Certificate } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { generate } from 'selfsigned'

export interface Certificate {
  readonly key: string
  readonly cert: string
  /** SHA-256 in pairs, as browsers show it. */
  readonly fingerprint: string
}

const years = 5

/** The certificate of this installation: made on first use, kept beside its data, and never in a backup. */
export async function certificateIn(folder: string): Promise<Certificate> {
  const [keyFile, certFile] = [join(folder, 'lan-key.pem'), join(folder, 'lan-cert.pem')]
  if (!existsSync(keyFile) || !existsSync(certFile)) {
    const notAfterDate = new Date()
    notAfterDate.setFullYear(notAfterDate.getFullYear() + years)
    const made = await generate([{ name: 'commonName', value: 'Even Watt' }], {
      keyType: 'ec',
      algorithm: 'sha256',
      notAfterDate,
    })
    writeFileSync(keyFile, made.private, { mode: 0o600 })
    writeFileSync(certFile, made.cert)
  }
  const cert = readFileSync(certFile, 'utf8')
  return {
    key: readFileSync(keyFile, 'utf8'),
    cert,
    fingerprint: new X509Certificate(cert).fingerprint256,
  }
}
