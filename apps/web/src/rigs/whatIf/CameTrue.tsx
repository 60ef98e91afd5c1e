import type { EntryOf } from '@even-watt/contract'
import { isFigure, normalisedError, say, sayFigure, uncertain, type Analysis } from '@even-watt/core'
import { FitTable } from '../../ui/FitTable'

/** Loads closer than this share are the same load. */
const sameLoad = 0.02

interface Props {
  readonly entry: EntryOf<'prediction'>
  readonly analyses: readonly Analysis[]
}

/** A prediction beside what the next rig then showed at the same loads. */
export function CameTrue({ entry, analyses }: Props) {
  const after = analyses.find(({ record }) => record.revision.number === entry.revision + 1)
  return (
    <FitTable className="max-w-3xl">
      <thead>
        <tr>
          <th className="right">output</th>
          <th className="right">V_B predicted</th>
          <th className="right">{after ? `V_B on rig ${entry.revision + 1}` : 'not made yet'}</th>
          <th>confirmed?</th>
        </tr>
      </thead>
      <tbody>
        {entry.reading.steps.map(({ power, V_B, u }) => {
          const predicted = uncertain(V_B, 'prediction', u)
          const match = after?.ladder.steps.find(
            ({ P_C, read }) =>
              isFigure(P_C) && isFigure(read.V_B) && Math.abs(P_C.x.value - power) < sameLoad * power,
          )
          const shown = match?.read.V_B
          return (
            <tr key={power}>
              <td className="figures right">{say(power, 'W')}</td>
              <td className="figures right">{sayFigure({ x: predicted, unit: 'V' })}</td>
              <td className="figures right">{shown && isFigure(shown) ? sayFigure(shown) : '–'}</td>
              <td>
                {shown && isFigure(shown) ? (
                  normalisedError(predicted, shown.x) <= 1 ? (
                    <span className="text-moss">● as predicted</span>
                  ) : (
                    <span className="text-ochre">
                      ▲ {shown.x.value > V_B ? 'better' : 'worse'} than predicted
                    </span>
                  )
                ) : (
                  ''
                )}
              </td>
            </tr>
          )
        })}
      </tbody>
    </FitTable>
  )
}
