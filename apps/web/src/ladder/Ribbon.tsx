import { isFigure, type Derived, type pathLosses, type StepFigures, say } from '@even-watt/core'
import { useShowWorking } from '../ui/working'
import { Fig } from '../ui/Fig'
import type { Layout, Place } from './columns'

interface Props {
  readonly layout: Layout
  readonly step: StepFigures | undefined
  readonly bank: string
  readonly unit: string
  /** What leads and joints took in the step. */
  readonly path: ReturnType<typeof pathLosses> | undefined
  readonly chosen: Place | undefined
  readonly onChoose: (place: Place) => void
}

const top = 34
const full = 46
const height = 136
const middle = top + full / 2

const watts = (derived: Derived | undefined): number | undefined =>
  derived && isFigure(derived) ? derived.x.value : undefined

/**
 * The power path of one step as a band whose width is watts, over the columns its readings stand in. It narrows
 * where watts are lost; each loss peels off downward with its figure.
 */
export function Ribbon({ layout, step, bank, unit, path, chosen, onChoose }: Props) {
  const column = (key: string) => layout.at.get(key) ?? { left: 0, width: 0 }
  const centre = (key: string) => column(key).left + column(key).width / 2
  const show = useShowWorking()

  const P_C = watts(step?.P_C)
  const P_B = watts(step?.P_B)
  const P_A = watts(step?.P_A)
  const most = P_A ?? P_B ?? P_C ?? 1
  const thick = (power: number | undefined) =>
    power === undefined || power <= 0 ? 4 : Math.max(3, (power / most) * full)
  const band = { A: thick(P_A ?? P_B), B: thick(P_B ?? P_A), C: thick(P_C) }

  const bankEnd = layout.step + layout.load - 6
  const joints = centre('P_path')
  const unitBox = {
    left: column('eta_unit').left + 6,
    right: column('P_loss').left + column('P_loss').width - 6,
  }
  const unitPeel = (unitBox.left + unitBox.right) / 2
  const end = column('eta_system').left + column('eta_system').width
  const losses = [
    {
      key: 'leads',
      words: path?.leads.words,
      figure: path?.leads.watts,
      x: centre('drop') - 14,
      bottom: middle + band.A / 2,
    },
    {
      key: 'joints',
      words: path?.joints.words,
      figure: path?.joints.watts,
      x: joints + 6,
      until: unitPeel - 8,
      bottom: middle + band.B / 2,
    },
    {
      key: 'unit',
      words: `unit${fanWords(step)}`,
      figure: step?.P_loss,
      x: unitPeel,
      bottom: top + full + 6,
    },
  ].filter((loss) => (watts(loss.figure) ?? 0) > 0)
  const widest = Math.max(...losses.map((loss) => watts(loss.figure) ?? 0), 1e-9)
  const times = Math.max(1, Math.min(8, Math.floor((26 * most) / (widest * full))))

  const beside = ({ x, figure }: (typeof losses)[number]) =>
    x + 8 + Math.min(26, ((watts(figure) ?? 0) / most) * full * times)

  return (
    <div className="relative" style={{ width: layout.width, height }} data-testid="ribbon">
      <svg width={layout.width} height={height} className="absolute inset-0" aria-hidden="true">
        {chosen && <Chosen layout={layout} place={chosen} />}
        <path
          d={bandPath(bankEnd, joints, unitBox.left, band.A, band.B)}
          fill={P_B === undefined ? 'none' : 'var(--copper)'}
          stroke="var(--copper)"
          strokeDasharray={P_B === undefined ? '4 3' : undefined}
        />
        <path
          d={`M${unitBox.right} ${middle - band.C / 2}H${end - 22}L${end - 8} ${middle}L${end - 22} ${middle + band.C / 2}H${unitBox.right}z`}
          fill={P_C === undefined ? 'none' : 'var(--petrol)'}
          stroke="var(--petrol)"
          strokeDasharray={P_C === undefined ? '4 3' : undefined}
        />
        {losses.map((loss) => {
          const width = Math.max(1.5, ((watts(loss.figure) ?? 0) / most) * full * times)
          return (
            <path key={loss.key} d={peel(loss.x, loss.bottom, width)} fill="var(--plum)" opacity="0.85" />
          )
        })}
        {(['V_A', 'V_B', 'V_C'] as const).map((key) => (
          <line
            key={key}
            x1={centre(key)}
            x2={centre(key)}
            y1={24}
            y2={top + full + 10}
            stroke="var(--ink)"
          />
        ))}
      </svg>

      <div
        className="absolute flex flex-col justify-center overflow-hidden border-l-4 border-copper bg-copper-soft px-2 leading-tight"
        style={{ left: 0, top, width: bankEnd, height: full }}
      >
        <span className="line-clamp-2 text-[0.85rem]">{bank}</span>
      </div>
      <Tap
        x={centre('V_A')}
        name="A"
        figures={[step?.read.V_A]}
        chosen={chosen === 'A'}
        onChoose={() => onChoose('A')}
      />
      <Tap
        x={centre('V_B')}
        name="B"
        figures={[step?.read.V_B, step?.read.I]}
        chosen={chosen === 'B'}
        onChoose={() => onChoose('B')}
      />
      <Tap
        x={centre('V_C')}
        name="C"
        figures={[step?.read.V_C, step?.read.I_C]}
        chosen={chosen === 'C'}
        onChoose={() => onChoose('C')}
      />

      {step && P_B !== undefined && band.B > 18 && (
        <span
          className="text-on-band absolute text-[0.95rem]"
          style={{ right: layout.width - unitBox.left + 8, top: middle - 11 }}
        >
          <Fig of={step.P_B} bare withUnit marked className="font-bold" />
        </span>
      )}
      <button
        type="button"
        className="absolute flex flex-col items-center justify-center overflow-hidden border border-ink bg-raised px-1 leading-tight"
        style={{ left: unitBox.left, top: top - 6, width: unitBox.right - unitBox.left, height: full + 12 }}
        onClick={() => onChoose('unit')}
        aria-label={`${unit}: readings of the unit`}
      >
        <span className="line-clamp-2 font-semibold">{unit}</span>
      </button>
      {step && (
        <span
          className="text-on-band absolute flex items-center gap-3 overflow-hidden"
          style={{ left: unitBox.right + 10, top: middle - 11, width: end - unitBox.right - 40 }}
        >
          <Fig
            of={step.P_C}
            bare
            withUnit
            marked
            className={band.C > 18 ? 'font-bold' : 'text-petrol font-bold'}
          />
          {band.C > 18 && <span className="ml-auto truncate text-right">{step.load}</span>}
        </span>
      )}
      {losses.map((loss, i) => (
        <button
          key={loss.key}
          type="button"
          className="text-plum absolute truncate text-left leading-tight hover:underline"
          title={loss.words}
          style={{
            left: beside(loss),
            maxWidth: loss.until === undefined ? undefined : loss.until - beside(loss),
            top: top + full + 14 + (i === 0 ? 16 : 0),
          }}
          onClick={() => loss.figure && isFigure(loss.figure) && show(loss.figure)}
        >
          {loss.figure && <Plain of={loss.figure} />} <span className="text-[0.85rem]">{loss.words}</span>
        </button>
      ))}
      <span className="text-quiet absolute text-[0.8rem]" style={{ left: 0, bottom: 2 }}>
        {step
          ? `width is watts; heat drawn ${times === 1 ? 'to the same scale' : `${times} times as wide`}`
          : 'choose or enter a step to draw its power path'}
      </span>
    </div>
  )
}

const fanWords = (step: StepFigures | undefined) => {
  const fan = step?.step.readings.at(-1)?.reading.fan
  return fan ? `, fan ${fan}` : ''
}

/** One number and its unit as text, inside something that is itself a button. */
function Plain({ of }: { of: Derived }) {
  const value = watts(of)
  return value === undefined ? null : <span className="figures font-semibold">{say(value, 'W')}</span>
}

/** From the bank to the unit, narrowing where the joints take their share. */
function bandPath(from: number, at: number, to: number, before: number, after: number): string {
  const slope = 10
  return [
    `M${from} ${middle - before / 2}H${at - slope}`,
    `L${at + slope} ${middle - after / 2}H${to}V${middle + after / 2}H${at + slope}`,
    `L${at - slope} ${middle + before / 2}H${from}z`,
  ].join('')
}

/** A strip that leaves the band to the right and turns downward. */
function peel(x: number, bottom: number, width: number): string {
  const drop = top + full + 30
  const radius = 10
  return [
    `M${x - radius} ${bottom - 1}`,
    `C${x} ${bottom - 1} ${x + width} ${bottom + 2} ${x + width} ${bottom + radius + 6}`,
    `V${drop}L${x + width / 2} ${drop + 6}L${x} ${drop}`,
    `V${bottom + radius + 6}`,
    `C${x} ${bottom + 6} ${x - 2} ${bottom + 2} ${x - radius} ${bottom + 1}z`,
  ].join('')
}

function Chosen({ layout, place }: { layout: Layout; place: Place }) {
  const keys: Record<Place, readonly string[]> = {
    A: ['V_A'],
    path: ['drop', 'P_path'],
    B: ['V_B', 'I'],
    unit: ['eta_unit', 'P_loss'],
    C: ['V_C', 'I_C', 'P_C', 'PF', 'f', 'THD'],
    system: ['eta_system'],
  }
  const boxes = keys[place].map((key) => layout.at.get(key)).filter((box) => box !== undefined)
  const [first, last] = [boxes[0], boxes.at(-1)]
  if (!first || !last) return null
  return (
    <rect
      x={first.left}
      width={last.left + last.width - first.left}
      y={0}
      height={height}
      fill="var(--chosen)"
    />
  )
}

interface TapProps {
  readonly x: number
  readonly name: string
  readonly figures: readonly (Derived | undefined)[]
  readonly chosen: boolean
  readonly onChoose: () => void
}

function Tap({ x, name, figures, chosen, onChoose }: TapProps) {
  return (
    <div className="absolute flex items-center gap-2 whitespace-nowrap" style={{ left: x - 11, top: 1 }}>
      <button
        type="button"
        className={`h-[22px] w-[22px] shrink-0 rounded-full border border-ink text-[0.85rem] leading-none font-bold ${chosen ? 'bg-ink text-ground' : 'bg-ground'}`}
        aria-pressed={chosen}
        aria-label={`Tap ${name}: its readings`}
        onClick={onChoose}
      >
        {name}
      </button>
      {figures.map(
        (figure, i) => figure && <Fig key={i} of={figure} bare withUnit marked className="font-semibold" />,
      )}
    </div>
  )
}
