import { readFileSync } from 'node:fs'
import { safeParse } from 'zod/mini'
import { formatVersion, TrialDocument, upgradeDocument, upgradeEntry } from '.'

const old = JSON.parse(readFileSync('apps/server/test/files/trial-format-1.json', 'utf8')) as {
  formatVersion: number
  entries: { id: string; stage: string }[]
}

describe('documents of older formats', () => {
  it('of every version that there was still open', () => {
    for (let version = 1; version < formatVersion; version++) {
      const file = `apps/server/test/files/trial-format-${version}.json`
      const document = JSON.parse(readFileSync(file, 'utf8')) as { formatVersion: number }
      expect(document.formatVersion).toBe(version)
      expect(safeParse(TrialDocument, upgradeDocument(document)).success).toBe(true)
    }
  })

  it('come forward to the newest one and are then as the contract knows them', () => {
    expect(old.formatVersion).toBe(1)
    const document = upgradeDocument(old)
    const read = safeParse(TrialDocument, document)
    expect(read.success && read.data.formatVersion).toBe(formatVersion)
    expect(read.success && read.data.entries.map(({ id, kind }) => [id, kind])).toEqual(
      old.entries.map(({ id, stage }) => [id, stage]),
    )
  })

  it('are left alone when they are of today, newer, or no documents at all', () => {
    const now = { formatVersion, entries: [{ kind: 'ladder' }] }
    const newer = { formatVersion: formatVersion + 1 }
    for (const content of [
      now,
      newer,
      {},
      { formatVersion: '1' },
      { formatVersion: 0.5 },
      [],
      null,
      'text',
      7,
    ])
      expect(upgradeDocument(content)).toBe(content)
    expect(upgradeDocument({ formatVersion: 1, entries: 'none' })).toEqual({ formatVersion, entries: 'none' })
  })

  it('give a kind to entries that had a stage, and to no others', () => {
    expect(upgradeEntry({ id: 'a', stage: 'motors' })).toEqual({ id: 'a', kind: 'motors' })
    const both = { stage: 'x', kind: 'ladder' }
    for (const entry of [both, { kind: 'run' }, null, 3, ['stage']]) expect(upgradeEntry(entry)).toBe(entry)
  })
})
