import type { EntryOf, LimitOf } from '@even-watt/contract'
import { revisionOf, trialOf, uuid } from '../../test/makers'
import { viewTrial } from '../view'
import { sayTest } from '.'

const said = (reading: Omit<LimitOf<'interlock'>, 'test'>) => {
  const entry: EntryOf<'limit'> = {
    id: uuid(400),
    revision: 1,
    at: '2026-04-14T08:00:00.000Z',
    kind: 'limit',
    reading: { test: 'interlock', ...reading },
  }
  const [analysis] = viewTrial(trialOf([revisionOf()]), [entry]).analyses
  if (!analysis) throw new Error('no analysis')
  return sayTest(entry, analysis)
}

it('an interlock that is on wants battery on its ignition wire, and says which setting is needed else', () => {
  const locked = { wiring: 'ignition wire, without battery on it', setting: 'on', started: false } as const
  expect(said(locked)).toContain('set it off, or connect the wire.')
  expect(said({ ...locked, started: true })).toContain('Yet it started')
  expect(said({ ...locked, wiring: 'ignition wire, with battery on it', started: true })).toContain(
    'So it should start.',
  )
})
it('without an interlock nothing keeps it from starting', () => {
  expect(said({ wiring: 'remote switch', setting: 'it has none', started: false })).toContain(
    'look for its fuse',
  )
})
