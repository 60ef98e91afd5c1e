import type { Chosen, HeldWay } from '@even-watt/contract'
import { canBeHeldAgainst, catalogue, figuredIn } from '@even-watt/core'
import { SelectField } from '../ui/form'

const ways: readonly (readonly [HeldWay, string])[] = [
  ['difference', 'the difference'],
  ['per cent', 'the difference in per cent'],
  ['share', 'a share of it'],
]

interface Props {
  readonly value: Chosen
  /** Figures of steps alone, or those of a rig too. */
  readonly of: 'steps' | 'all'
  readonly onChange: (chosen: Chosen) => void
}

/** Any figure of the catalogue: as it is, or held against something that it has. */
export function ChooseFigure({ value: { figure, held }, of, onChange }: Props) {
  const figured = figuredIn({ figure })
  const figures = of === 'steps' ? catalogue.steps : catalogue.all
  const references = figured ? canBeHeldAgainst(figured) : []
  return (
    <>
      <SelectField
        label="Figure"
        value={figure}
        options={figures.map(({ id, words, unit }) => [id, unit ? `${words}, ${unit}` : words])}
        onChange={({ target }) => onChange({ figure: target.value })}
      />
      <SelectField
        label="Held against"
        value={held?.against ?? ''}
        options={[['', 'nothing: as it is'], ...references.map((one) => [one, one] as const)]}
        onChange={({ target }) => {
          const against = references.find((one) => one === target.value)
          onChange(against ? { figure, held: { against, as: held?.as ?? 'difference' } } : { figure })
        }}
      />
      {held && (
        <SelectField
          label="Told as"
          value={held.as}
          options={ways}
          onChange={({ target }) => {
            const way = ways.find(([one]) => one === target.value)
            if (way) onChange({ figure, held: { against: held.against, as: way[0] } })
          }}
        />
      )}
    </>
  )
}
