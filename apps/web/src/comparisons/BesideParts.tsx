import type { Comparison as Made } from '@even-watt/contract'
import type { Comparison } from '@even-watt/core'
import { MetersUsed } from '../meters/MetersUsed'
import type { BesideSources } from './besideSources'
import { ClaimTable } from './ClaimTable'
import { ConditionTable } from './ConditionTable'
import { Curves } from './Curves'
import { FeatureTable } from './FeatureTable'
import { FigureTable } from './FigureTable'
import { LabelTable } from './LabelTable'
import { OnSameSupply } from './OnSameSupply'
import { BankTable, Overlays } from './Overlays'
import { PerWatt } from './PerWatt'
import { PicturesBeside } from './PicturesBeside'
import { RankingPart } from './RankingPart'
import { StartsTable } from './StartsTable'
import { StepsTable } from './StepsTable'
import { SuitsTable } from './SuitsTable'

interface Props extends BesideSources {
  readonly made: Made
  readonly comparison: Comparison
  /** Absent: it is read here, not made. */
  readonly onChange?: (patch: Partial<Made>) => void
}

/** The answer, then under what conditions, then promise by promise and figure by figure. */
export function BesideParts({ made, comparison, revisions, photographs, onChange }: Props) {
  const { list, answer, conditions, claims, rows, hours, curves } = comparison
  const title = made.name || 'comparison'
  return (
    <>
      <section aria-label="The answer" className="max-w-4xl">
        {made.note && <p className="text-quiet">{made.note}</p>}
        {answer.map((sentence, i) => (
          <p key={sentence} className={i === 0 ? 'mb-2 text-[1.15rem]' : 'mb-1'}>
            {sentence}
          </p>
        ))}
      </section>
      <ConditionTable list={list} conditions={conditions} />
      <ClaimTable list={list} claims={claims} />
      <FigureTable
        list={list}
        rows={rows}
        hours={hours}
        own={made.figures ?? []}
        onOwn={onChange && ((figures) => onChange({ figures: [...figures] }))}
        causes={made.causes ?? {}}
        onCause={
          onChange &&
          ((criterion, cause) =>
            onChange({
              causes: Object.fromEntries(
                Object.entries({ ...made.causes, [criterion]: cause }).filter(([, said]) => said !== ''),
              ),
            }))
        }
      />
      <Curves list={list} curves={curves} title={title} />
      <Overlays list={list} title={title} />
      <SuitsTable list={list} />
      <OnSameSupply list={list} />
      <BankTable list={list} />
      <StepsTable list={list} />
      <StartsTable list={list} />
      <FeatureTable list={list} />
      <LabelTable list={list} />
      <PerWatt list={list} />
      <RankingPart
        list={list}
        hours={hours}
        weights={made.weights ?? {}}
        onChange={onChange && ((weights) => onChange({ weights: { ...weights } }))}
      />
      <PicturesBeside list={list} photographs={photographs} />
      <MetersUsed revisions={revisions} />
    </>
  )
}
