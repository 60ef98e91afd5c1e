import {
  modeDraws,
  modeTests,
  passThroughOf,
  recordedOf,
  say,
  sayRidesThrough,
  transfersOf,
  wakeOf,
  type Analysis,
} from '@even-watt/core'
import { useMemo } from 'react'
import { Strip } from '../photographs/Strip'
import { SentenceList } from '../trials/SentenceList'
import { useTrial } from '../trials/useTrial'

interface Props {
  readonly analysis: Analysis
  readonly editable?: boolean
}

/** Every test of modes in a sentence; what several say together stands before them. */
export function ModeList({ analysis, editable = false }: Props) {
  const { view } = useTrial()
  const said = useMemo(() => sentencesOf(analysis), [analysis])
  const together = [wakeOf(analysis.record)?.sentence, passThroughOf(analysis.record)?.sentence]
  return (
    <>
      {together.map(
        (sentence) =>
          sentence && (
            <p key={sentence} className="mb-1 max-w-4xl">
              {sentence}
            </p>
          ),
      )}
      <SentenceList
        what="this test"
        editable={editable}
        beside={(entry) => <Strip subject={{ about: entry }} of="this test" />}
        lines={recordedOf(analysis.record, 'mode').map(({ id, reading }) => ({
          entry: id,
          sentence: said.get(id) ?? reading.test,
          note: reading.note,
          why: view.record.struckWhy.get(id),
        }))}
      />
    </>
  )
}

function sentencesOf(analysis: Analysis): ReadonlyMap<string, string> {
  const { record } = analysis
  const watts = (x: number | undefined) => (x === undefined ? undefined : say(x, 'W'))
  const volts = (x: number | undefined) => (x === undefined ? undefined : say(x, 'V', 4))
  return new Map([
    ...modeDraws(analysis).map(({ entry, sentence }): [string, string] => [entry.id, sentence]),
    ...transfersOf(analysis).map(({ entry, gap, sentence }): [string, string] => [
      entry.id,
      gap ? `${sentence} ${sayRidesThrough(gap.x.value)}` : sentence,
    ]),
    ...modeTests(record, 'wake').map(({ entry, reading }): [string, string] => [
      entry.id,
      `${say(reading.watts, 'W', 2)}: it ${reading.woke ? 'woke' : 'slept on'}.`,
    ]),
    ...modeTests(record, 'pass-through').map(({ entry, reading }): [string, string] => [
      entry.id,
      `Pass-through: ${[
        [volts(reading.gridVolts), watts(reading.gridWatts)],
        [volts(reading.outletVolts), watts(reading.outletWatts)],
      ]
        .map(
          (pair, i) =>
            `${i ? 'outlet' : (reading.fedBy ?? 'the grid')} ${pair.filter(Boolean).join(', ') || 'not read'}`,
        )
        .join('; ')}.`,
    ]),
  ])
}
