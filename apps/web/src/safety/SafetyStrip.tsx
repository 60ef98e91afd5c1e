import { Link } from 'react-router'
import { useTrial } from '../trials/useTrial'
import { useSafety } from './useSafety'

/** Stays over every page of a trial until its cautions were read as they now stand. */
export function SafetyStrip() {
  const state = useTrial()
  const { open, ofEarlierRig } = useSafety(state)
  if (!open.length && !ofEarlierRig) return null
  return (
    <p className="no-print text-ochre mb-2 border-b border-rule pb-1" role="note">
      ▲{' '}
      {ofEarlierRig
        ? 'The rig changed since the cautions were read.'
        : `${open.length} ${open.length === 1 ? 'caution is' : 'cautions are'} not read yet.`}{' '}
      <Link className="plain-link" to={`/trials/${state.trial.id}/make-safe`}>
        Make safe
      </Link>
    </p>
  )
}
