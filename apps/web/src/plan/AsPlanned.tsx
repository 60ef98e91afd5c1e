import { formatNumber, isFigure, motorShare, say, sayFigure, type StepFigures } from '@even-watt/core'
import { useTrial } from '../trials/useTrial'
import { useShelf } from './useShelf'

const motors = ['induction motor', 'brush motor']

/** What the plan expected of a step against what was read, and a motor's own share beside other loads. */
export function AsPlanned({ figures }: { figures: StepFigures }) {
  const { whole } = useShelf(useTrial())
  const { P_C, read, step } = figures
  const reading = step.readings.at(-1)?.reading
  if (!reading || !isFigure(P_C)) return null
  const on = (reading.uses ?? []).flatMap((use) => {
    const i = whole.loads.findIndex(({ id }) => id === use.load)
    const [load, asked] = [whole.loads[i], whole.question[i]]
    const k = load?.settings.findIndex(({ id }) => id === use.setting) ?? -1
    const watts = asked?.settings[k]
    return load && watts !== undefined ? [{ name: load.name, kind: load.kind, volts: load.volts, watts }] : []
  })
  const turning = on.filter(({ kind }) => motors.includes(kind))
  const [motor] = turning
  const beside = on.filter(({ kind }) => !motors.includes(kind))
  const share =
    motor && turning.length === 1 && beside.length && on.length === reading.uses?.length && isFigure(read.V_C)
      ? motorShare(P_C.x.value, read.V_C.x.value, beside)
      : undefined
  if (reading.expected === undefined && share === undefined) return null
  const off = reading.expected ? P_C.x.value / reading.expected - 1 : undefined
  return (
    <p className="text-quiet" data-testid="as-planned">
      {off !== undefined && (
        <>
          Planned {say(reading.expected ?? 0, 'W', 4)}, read {sayFigure(P_C)}: {off < 0 ? '−' : '+'}
          {formatNumber(Math.abs(off * 100), 1)} %.{' '}
        </>
      )}
      {share !== undefined && motor && (
        <>
          Of this the {motor.name} takes {say(share, 'W')}; the rest follows the sagged voltage.
        </>
      )}
    </p>
  )
}
