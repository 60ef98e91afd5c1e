import { mostColumns, type Chosen, type Trial } from '@even-watt/contract'
import { api, problemOf } from '../api/api'
import { useSaveSettings } from '../trials/useSaveSettings'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'

const none: readonly Chosen[] = []

export const isSame = (a: Chosen, b: Chosen): boolean =>
  a.figure === b.figure && a.held?.against === b.held?.against && a.held?.as === b.held?.as

/** Columns of the tester’s own: those of the trial, else those of the bench. */
export function useColumnsOf({ columns }: Pick<Trial, 'columns'>): readonly Chosen[] {
  const { data } = api.useSettingsQuery()
  return columns ?? data?.columns ?? none
}

/** The same, to be changed. */
export function useColumns() {
  const { trial } = useTrial()
  const { data: settings } = api.useSettingsQuery()
  const { save } = useSaveSettings()
  const [saveBench] = api.useSaveSettingsMutation()
  const columns = useColumnsOf(trial)
  const put = (next: readonly Chosen[]) => void save({ columns: [...next] })
  return {
    columns,
    has: (chosen: Chosen) => columns.some((one) => isSame(one, chosen)),
    isFull: columns.length >= mostColumns,
    add: (chosen: Chosen) => {
      if (!columns.some((one) => isSame(one, chosen))) put([...columns, chosen])
    },
    remove: (chosen: Chosen) => put(columns.filter((one) => !isSame(one, chosen))),
    /** Trials that choose none have these from now on. */
    forEveryTrial:
      settings && JSON.stringify(settings.columns ?? []) !== JSON.stringify(columns)
        ? async () => {
            const { version, ...content } = settings
            try {
              await saveBench({
                editedFrom: version,
                content: { ...content, columns: [...columns] },
              }).unwrap()
              answer('Every trial that chose no columns has these.')
            } catch (error) {
              answer(problemOf(error).title)
            }
          }
        : undefined,
  }
}

export type ColumnsState = ReturnType<typeof useColumns>
