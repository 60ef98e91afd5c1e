import type { ChannelFigures, StoredMeter } from '@even-watt/contract'
import { formatNumber, rangeFor, say } from '@even-watt/core'
import { responseTo, type Manner } from '@even-watt/core/waveform/index'
import { unitOfChannel } from './words'
import { FitTable } from '../ui/FitTable'

interface Props {
  readonly channel: ChannelFigures
  readonly frequency: number
  /** The tester's own. */
  readonly meters: readonly StoredMeter[]
}

const kinds: readonly (readonly [string, Manner])[] = [
  ['true RMS, AC', { response: 'true RMS' }],
  ['true RMS, AC + DC', { response: 'true RMS', dc: true }],
  ['true RMS up to 400 Hz', { response: 'true RMS', bandwidth: 400 }],
  ['average-responding', { response: 'average' }],
  ['peak-responding', { response: 'peak' }],
]

/** What each of the tester's meters, and each kind of meter, reads of this wave, and whether it may be used on it. */
export function MeterTable({ channel, frequency, meters }: Props) {
  const unit = unitOfChannel(channel.quantity)
  const reads = unit === 'V' ? 'AC voltage' : 'AC current'
  const own = meters.flatMap((meter) => {
    const range = rangeFor(meter.ranges, reads, channel.rms)
    return range ? [[meter.name, range, range.standsSteppedWave] as const] : []
  })
  const stepped = channel.wave?.class === 'stepped' || channel.wave?.class === 'square'
  const rows = [
    ...own.map(([name, manner, stands]) => ({ name, manner, stands, own: true })),
    ...kinds.map(([name, manner]) => ({ name, manner, stands: true, own: false })),
  ]
  return (
    <section className="break-inside-avoid">
      <h2>What a meter would say</h2>
      <FitTable className="max-w-4xl min-w-[34rem]">
        <thead>
          <tr>
            <th>meter</th>
            <th className="right">reads</th>
            <th className="right">off by</th>
            <th />
            <th>why</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ name, manner, stands, own: isOwn }) => {
            const { reading, error, fit, why } = responseTo(channel, frequency, manner)
            const refused = stepped && !stands
            return (
              <tr key={`${isOwn} ${name}`}>
                <td className={isOwn ? 'font-semibold' : 'text-quiet'}>{name}</td>
                <td className="figures right whitespace-nowrap">{say(reading, unit, 4)}</td>
                <td className="figures right whitespace-nowrap">{formatNumber(100 * error, 1)} %</td>
                <td className="whitespace-nowrap">
                  {fit && !refused ? (
                    <span className="text-moss">● fit</span>
                  ) : (
                    <span className="text-ochre">▲ not here</span>
                  )}
                </td>
                <td className="text-quiet">
                  {refused ? `${why} Its maker does not allow stepped waves.` : why}
                </td>
              </tr>
            )
          })}
        </tbody>
      </FitTable>
    </section>
  )
}
