import type { FiguresOverTrials, TrialFigures } from '@even-watt/contract'
import { writingOf } from '@even-watt/core'
import type { Pool } from 'pg'
import type { Besides } from '../besides/besides'
import { readSettings } from '../settings/settings'
import { readTold } from './told'

/** Trials beside which figures are shown: those worked on last. */
const most = 500

/** Figures of the catalogue, by their names, over all trials of the bench that were not put away. */
export async function overTrials(
  pool: Pool,
  besides: Besides,
  figures: readonly string[],
): Promise<FiguresOverTrials> {
  const unread = await readTold(pool, besides, writingOf(await readSettings(pool)))
  const { rows } = await pool.query<TrialFigures>(
    `select trial, settings->>'title' as title, unit_name as unit, rated,
       (select jsonb_object_agg(key, value) from jsonb_each(figures) where key = any($1)) as figures
     from trial_told join trial on trial.id = trial_told.trial
     where figures ?| $1 and put_away_at is null
     order by coalesce(last_at, started_at) desc limit ${most}`,
    [figures],
  )
  return { trials: rows, unread }
}
