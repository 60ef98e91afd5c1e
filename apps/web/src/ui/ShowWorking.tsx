import {
  budget,
  coverage,
  decides,
  expanded,
  formatNumber,
  plain,
  readSource,
  sayFigure,
  shortened,
  shownFactor,
  standard,
  type Figure,
} from '@even-watt/core'
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { useCallback, useMemo, useState, type ReactNode } from 'react'
import { Link } from 'react-router'
import { Working, type NameSource } from './working'
import { FitTable } from './FitTable'

interface Props {
  readonly nameSource: NameSource
  /** The page of the method that a symbol stands on. */
  readonly methodFor: (symbol: string) => string
  /** Names the readings behind a figure, by entry id. */
  readonly nameEntry: (id: string) => string | undefined
  readonly children: ReactNode
}

/** Holds the one panel in which every figure opens to its formula, budget, meters and readings. */
export function ShowWorking({ nameSource, methodFor, nameEntry, children }: Props) {
  const [trail, setTrail] = useState<readonly Figure[]>([])
  const show = useCallback((figure: Figure) => setTrail([figure]), [])
  const context = useMemo(() => ({ show }), [show])
  const figure = trail.at(-1)
  return (
    <Working value={context}>
      {children}
      <Dialog open={figure !== undefined} onClose={() => setTrail([])} className="relative z-30">
        <div className="fixed inset-0 bg-ground/60" aria-hidden="true" />
        <div className="fixed inset-y-0 right-0 flex w-full max-w-xl">
          <DialogPanel className="w-full overflow-y-auto border-l border-ink bg-raised p-5">
            {figure && (
              <WorkingOf
                figure={figure}
                nameSource={nameSource}
                methodPage={methodFor(figure.symbol)}
                nameEntry={nameEntry}
                onOpen={(input) => setTrail([...trail, input])}
                onBack={trail.length > 1 ? () => setTrail(trail.slice(0, -1)) : undefined}
                onClose={() => setTrail([])}
              />
            )}
          </DialogPanel>
        </div>
      </Dialog>
    </Working>
  )
}

interface WorkingProps {
  readonly figure: Figure
  readonly methodPage: string
  readonly nameSource: NameSource
  readonly nameEntry: Props['nameEntry']
  readonly onOpen: (figure: Figure) => void
  readonly onBack: (() => void) | undefined
  readonly onClose: () => void
}

const shownSources = 8

function WorkingOf({ figure, methodPage, nameSource, nameEntry, onOpen, onBack, onClose }: WorkingProps) {
  const { working } = figure
  const lines = budget(figure.x).filter((line) => line.share > 0.0005)
  const factor = shownFactor(figure.unit)
  const entries = working.entries.map(nameEntry).filter((name) => name !== undefined)
  const names = new Map<string, number>()
  for (const name of entries) names.set(name, (names.get(name) ?? 0) + 1)
  return (
    <>
      <div className="flex items-baseline justify-between gap-4">
        <DialogTitle className="text-lg font-bold">{figure.symbol}</DialogTitle>
        <div className="flex gap-2">
          {onBack && (
            <button type="button" className="action" onClick={onBack}>
              Back
            </button>
          )}
          <button type="button" className="action" onClick={onClose}>
            Close
          </button>
        </div>
      </div>
      <p className="figures mt-1 text-2xl">{sayFigure(figure)}</p>
      <p className="text-quiet">
        {sayGrade(figure)}{' '}
        {figure.refused && `Decides nothing: ${figure.refused.why} ${figure.refused.todo} `}Expanded
        uncertainty, k = {plain(shortened(coverage(figure.x), 3))}.
      </p>

      <h2 className="mt-4 flex gap-4">
        Formula
        <Link className="plain-link font-normal" to={`/method/${methodPage}`} onClick={onClose}>
          how it is worked
        </Link>
      </h2>
      <p className="figures">
        {figure.symbol} = {working.formula}
      </p>
      {working.inputs.length > 0 && working.inputs.length <= 4 && (
        <p className="figures text-quiet">= {withNumbers(figure)}</p>
      )}
      {working.notes.map((note) => (
        <p key={note} className="mt-1">
          {note}
        </p>
      ))}

      {working.inputs.length > 0 && (
        <>
          <h2 className="mt-4">Inputs</h2>
          <ul>
            {working.inputs.map((input, i) => (
              <li key={i} className="flex justify-between gap-4 border-b border-rule py-1">
                <button type="button" className="plain-link" onClick={() => onOpen(input)}>
                  {input.symbol}
                </button>
                <span className="figures">{sayFigure(input)}</span>
              </li>
            ))}
          </ul>
        </>
      )}

      <h2 className="mt-4 flex gap-4">
        Uncertainty
        <Link className="plain-link font-normal" to="/method/meters" onClick={onClose}>
          how it is worked
        </Link>
      </h2>
      {lines.length === 0 ? (
        <p>None is known: no meter is named, or the value is exact.</p>
      ) : (
        <FitTable>
          <thead>
            <tr>
              <th>source</th>
              <th className="right">u, {figure.unit || '1'}</th>
              <th className="right whitespace-nowrap">share of u²</th>
            </tr>
          </thead>
          <tbody>
            {lines.slice(0, shownSources).map((line) => (
              <tr key={line.source}>
                <td>{nameSource(readSource(line.source))}</td>
                <td className="figures right">{plain(shortened(line.u * factor, 2))}</td>
                <td className="figures right whitespace-nowrap">{formatNumber(line.share * 100, 1)} %</td>
              </tr>
            ))}
            {lines.length > shownSources && (
              <tr>
                <td>{lines.length - shownSources} smaller ones</td>
                <td />
                <td className="figures right">
                  {formatNumber(
                    lines.slice(shownSources).reduce((sum, line) => sum + line.share, 0) * 100,
                    1,
                  )}{' '}
                  %
                </td>
              </tr>
            )}
            <tr>
              <td className="font-semibold">u, and U = {plain(shortened(coverage(figure.x), 3))}·u</td>
              <td className="figures right">{plain(shortened(standard(figure.x) * factor, 2))}</td>
              <td className="figures right">± {plain(shortened(expanded(figure.x) * factor, 2))}</td>
            </tr>
          </tbody>
        </FitTable>
      )}

      {names.size > 0 && (
        <>
          <h2 className="mt-4">Readings behind it</h2>
          <ul className="columns-1">
            {[...names].map(([name, count]) => (
              <li key={name}>
                {name}
                {count > 1 && <span className="text-quiet"> × {count}</span>}
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  )
}

/** The formula with numbers in place of symbols. */
function withNumbers(figure: Figure): string {
  const inputs = [...figure.working.inputs].sort((a, b) => b.symbol.length - a.symbol.length)
  return inputs.reduce(
    (text, input) =>
      text.replaceAll(input.symbol, `${sayFigure({ ...input, x: { ...input.x, sources: new Map() } }, 5)}`),
    figure.working.formula,
  )
}

/** What a figure is good for, by how it was come by. */
function sayGrade(figure: Figure): string {
  if (figure.grade === 'measured') return 'Measured.'
  // Not narrowed: what does not decide is a figure all the same.
  const standsIn: boolean = decides(figure)
  return standsIn
    ? 'Shown by its display, which was checked and stands in.'
    : `Only ${figure.grade}: settles no claim.`
}
