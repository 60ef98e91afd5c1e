import type { EntryOf } from '@even-watt/contract'
import { Link } from 'react-router'
import { useTrial } from '../trials/useTrial'
import { AddWave } from './AddWave'
import { MiniWave } from './MiniWave'
import { outletOf, sayCapture, sayClass } from './words'

interface Props {
  readonly captures: readonly EntryOf<'capture'>[]
  /** The reading that a new capture belongs to. */
  readonly about: string | undefined
  readonly words: string
}

/** The waves that were captured with a reading, and the place to drop the next one. */
export function StepWaves({ captures, about, words }: Props) {
  const { trial } = useTrial()
  return (
    <section aria-label="Waves" className="mt-1">
      {captures.map((entry) => {
        const channel = outletOf(entry.reading)
        return (
          <p key={entry.id}>
            {channel?.wave && <MiniWave cycle={channel.wave.cycle} label={sayClass(channel.wave)} />}{' '}
            <Link className="plain-link" to={`/trials/${trial.id}/wave?of=${entry.id}`}>
              {sayCapture(entry.reading.figures)}
            </Link>
            {entry.reading.picture && <span className="text-ochre"> estimated</span>}
          </p>
        )
      })}
      <AddWave key={about} belongsTo={about === undefined ? {} : { about }} words={words} />
    </section>
  )
}
