import {
  energyNames,
  energyWords,
  sayTemperature,
  isFigure,
  ranFor,
  sayFigure,
  seriesFor,
  type Log,
} from '@even-watt/core'
import { Fig } from '../ui/Fig'
import { sayMinutes } from './words'

/** What a log came to: energies with both ways they were read, efficiency, how long it ran. */
export function LogFigures({ log }: { readonly log: Log }) {
  const known = energyNames.filter((name) => isFigure(log.energies[name].figure))
  const T = seriesFor(log, 'T_room')?.points
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-5">
      <dt className="text-quiet">{log.ended ? 'it ran for' : 'so far'}</dt>
      <dd className="figures">{sayMinutes(ranFor(log))}</dd>
      {known.map((name) => {
        const { figure, added, counted, E_n } = log.energies[name]
        const other =
          added &&
          counted &&
          (isFigure(figure) && figure.working.formula === added.working.formula ? counted : added)
        return (
          <div key={name} className="contents">
            <dt className="text-quiet">{energyWords(name)}</dt>
            <dd>
              <Fig of={figure} withUnit hue={name === 'E_C' ? 'ac' : 'dc'} />
              {other && (
                <span className="text-quiet text-[0.9em]">
                  {' '}
                  · {other === counted ? 'its counter' : 'added up'} {sayFigure(other)}
                  {E_n !== undefined && E_n > 1 && <span className="text-ochre"> they contradict</span>}
                </span>
              )}
            </dd>
          </div>
        )
      })}
      {isFigure(log.efficiency) && (
        <>
          <dt className="text-quiet">mean efficiency</dt>
          <dd>
            <Fig of={log.efficiency} withUnit />
          </dd>
        </>
      )}
      {T && T.length > 0 && (
        <>
          <dt className="text-quiet">room</dt>
          <dd className="figures">
            {sayTemperature(Math.min(...T.map(({ value }) => value)), 1)} to{' '}
            {sayTemperature(Math.max(...T.map(({ value }) => value)), 1)}
          </dd>
        </>
      )}
    </dl>
  )
}
