import { whoMinds, type Minds, type OnRig } from '@even-watt/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { ShapedWord, type Look } from '../ui/ShapedWord'

const looks: Readonly<Record<Minds, Look>> = {
  minds: { shape: '■', colour: 'text-madder' },
  'may mind': { shape: '▲', colour: 'text-ochre' },
  'not known': { shape: '○', colour: 'text-quiet' },
  'does not mind': { shape: '●', colour: 'text-moss' },
}

const Mark = ({ says }: { readonly says: Minds }) => <ShapedWord look={looks[says]} word={says} />

interface Props {
  readonly on: OnRig
}

/** Which kinds of equipment mind what the unit gives, each with its reason; nothing while nothing of it was read. */
export function WhoMinds({ on }: Props) {
  const all = useMemo(() => whoMinds(on), [on])
  if (all.every(({ says }) => says === 'not known')) return null
  const telling = all.filter(({ says }) => says !== 'does not mind')
  const content = all.filter(({ says }) => says === 'does not mind').map(({ kind }) => kind)
  return (
    <section className="mt-4 max-w-4xl" aria-label="Which equipment minds">
      <h2>Which equipment minds</h2>
      <ul>
        {telling.map(({ kind, says, why }) => (
          <li key={kind} className="break-inside-avoid border-b border-rule py-1">
            <div className="flex flex-wrap items-baseline gap-x-3">
              <span className="w-full font-semibold sm:w-[26rem]">{kind}</span>
              <Mark says={says} />
            </div>
            <p className="text-quiet text-[0.9rem]">{why.join(' ')}</p>
          </li>
        ))}
      </ul>
      {content.length > 0 && (
        <p className="mt-1">
          <Mark says="does not mind" /> {content.join('; ')}.
        </p>
      )}
      <p className="text-quiet no-print mt-1">
        Makers may ask for less or more: theirs holds.{' '}
        <Link className="plain-link" to="/method/minds">
          How it is told
        </Link>
      </p>
    </section>
  )
}
