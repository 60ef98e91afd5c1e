import type { StoredDiary, StoredUnit, UnitLife } from '@even-watt/contract'
import { Link, useParams } from 'react-router'
import { api } from '../api/api'
import { shortDate } from '../ui/dates'
import { Loaded } from '../ui/Loaded'
import { Notice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { Section } from '../ui/Section'
import { DiaryForm } from './DiaryForm'
import { DiaryLines } from './DiaryLines'
import { Grown } from './Grown'

/** The life of a unit beyond one trial: where it was tested, what was remarked on it, and its diary. */
export function LifePage() {
  const { id = '' } = useParams()
  return (
    <Loaded query={api.useUnitsQuery()} what="the unit">
      {(units) => {
        const unit = units.find((one) => one.id === id)
        return unit ? (
          <Loaded query={api.useDiariesQuery()} what="its diary">
            {(diaries) => <Life unit={unit} diary={diaries.find((one) => one.id === id)} />}
          </Loaded>
        ) : (
          <Page title="Life of a unit">
            <Notice kind="problem">This unit is not here any more.</Notice>
          </Page>
        )
      }}
    </Loaded>
  )
}

function Life({ unit, diary }: { unit: StoredUnit; diary: StoredDiary | undefined }) {
  const query = api.useUnitLifeQuery(unit.id)
  return (
    <Page
      title={`${unit.name}: its life`}
      actions={
        <Link className="action" to={`/units/${unit.id}`}>
          Edit the unit
        </Link>
      }
    >
      <Loaded query={query} what="its trials">
        {(life) => (
          <>
            <Trials life={life} />
            <RemarksOf life={life} />
          </>
        )}
      </Loaded>
      <Section title="Diary">
        {diary && <Grown lines={diary.lines} unit={unit} />}
        <DiaryLines diary={diary} />
        <DiaryForm unit={unit} diary={diary} />
      </Section>
    </Page>
  )
}

function Trials({ life: { trials } }: { life: UnitLife }) {
  const { data: verdicts } = api.useVerdictsQuery(trials.map(({ id }) => id).slice(0, 100), {
    skip: !trials.length,
  })
  return (
    <Section title="Trials of it">
      {trials.length === 0 && (
        <p>
          It was in no trial yet.{' '}
          <Link className="plain-link" to="/trials/new">
            Start one
          </Link>
        </p>
      )}
      <ul>
        {trials.map(({ id, title, startedAt, away }) => (
          <li key={id} className="flex flex-wrap gap-x-4 border-b border-rule py-1">
            <Link className="plain-link font-semibold" to={`/trials/${id}/findings`}>
              {title}
            </Link>
            <span className="text-quiet">
              {shortDate(startedAt)}
              {away && ', put away'}
            </span>
            <span>{verdicts?.[id]?.map(({ outcome, count }) => `${count} ${outcome}`).join(', ')}</span>
          </li>
        ))}
      </ul>
    </Section>
  )
}

function RemarksOf({ life: { remarks, trials } }: { life: UnitLife }) {
  if (!remarks.length) return null
  const titles = new Map(trials.map(({ id, title }) => [id, title]))
  return (
    <Section title="Wishes, complaints, workarounds, open questions">
      <ul>
        {remarks.map(({ trial, at, kind, words, settled }) => (
          <li key={`${trial} ${at} ${words}`} className="flex flex-wrap gap-x-4 border-b border-rule py-1">
            <span className="text-quiet w-28">{kind}</span>
            <span className="min-w-0 flex-1 break-words">
              {words}
              {settled && <span className="text-moss"> ● {settled}</span>}
            </span>
            <Link className="plain-link" to={`/trials/${trial}/look-over/remarks`}>
              {titles.get(trial) ?? 'the trial'}
            </Link>
          </li>
        ))}
      </ul>
    </Section>
  )
}
