import { api } from '../api/api'
import { RemoveButton, TextField, typed as asTyped } from '../ui/form'
import { blankLine, type LineForm, type NeedsForm } from './form'

interface Props {
  readonly form: NeedsForm
  readonly faults: ReadonlyMap<string, string>
  readonly onChange: (change: Partial<NeedsForm>) => void
}

/** The owner's loads, typed or off the shelf. */
export function NeedLines({ form: { lines }, faults, onChange }: Props) {
  const { data: shelf = [] } = api.useLoadsQuery()
  const put = (at: number, change: Partial<LineForm>) =>
    onChange({ lines: lines.map((line, i) => (i === at ? { ...line, ...change } : line)) })
  const add = (line: LineForm) =>
    onChange({ lines: [...lines.filter(({ name, watts }) => name.trim() || watts.trim()), line] })
  const field = (at: number, name: keyof LineForm) => ({
    value: lines[at]?.[name] ?? '',
    error: faults.get(`lines.${at}.${name}`),
    onChange: (event: { target: { value: string } }) => put(at, { [name]: event.target.value }),
  })
  return (
    <section>
      {lines.map((_, i) => (
        <fieldset
          key={i}
          className="mb-2 grid grid-cols-2 items-start gap-2 md:grid-cols-[2fr_1fr_1fr_1fr_auto]"
        >
          <legend className="sr-only">Load {i + 1}</legend>
          <TextField label="What runs" maxLength={80} placeholder="freezer" {...field(i, 'name')} />
          <TextField label="It takes" unit="W" inputMode="decimal" placeholder="90" {...field(i, 'watts')} />
          <TextField label="For" unit="h a day" inputMode="decimal" placeholder="8" {...field(i, 'hours')} />
          <TextField
            label="Starts with"
            unit="times that"
            inputMode="decimal"
            placeholder="motors: 4 to 8"
            {...field(i, 'inrush')}
          />
          {lines.length > 1 && (
            <RemoveButton
              what={`load ${i + 1}`}
              onRemove={() => onChange({ lines: lines.filter((_line, at) => at !== i) })}
            />
          )}
        </fieldset>
      ))}
      <div className="no-print flex flex-wrap items-center gap-3">
        <button type="button" className="action" onClick={() => onChange({ lines: [...lines, blankLine] })}>
          Another load
        </button>
        {shelf.length > 0 && (
          <select
            className="input w-auto"
            aria-label="A load off the shelf"
            value=""
            onChange={({ target }) => {
              const [load, setting] = target.value.split(' ')
              const found = shelf.find(({ id }) => id === load)
              const at = found?.settings.find(({ id }) => id === setting)
              if (found && at)
                add({
                  name: found.settings.length > 1 ? `${found.name}, ${at.name}` : found.name,
                  watts: asTyped(at.watts),
                  hours: '1',
                  inrush: asTyped(found.inrush),
                })
            }}
          >
            <option value="">or one off the shelf …</option>
            {shelf.flatMap((load) =>
              load.settings.map((setting) => (
                <option key={setting.id} value={`${load.id} ${setting.id}`}>
                  {load.name}, {setting.name}
                </option>
              )),
            )}
          </select>
        )}
      </div>
    </section>
  )
}
