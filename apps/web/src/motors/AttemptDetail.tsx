import { attemptWords, isFigure, otherEquipment, plain, say, type Analysis } from '@even-watt/core'
import { api } from '../api/api'
import { useTrial } from '../trials/useTrial'
import { AddWave } from '../captures/AddWave'
import { Fig } from '../ui/Fig'
import { RideDrawing } from './RideDrawing'
import { StartDrawing } from './StartDrawing'
import { FitTable } from '../ui/FitTable'

type Attempt = Analysis['motors']['attempts'][number]

const seconds = (s: number) => (s < 1 ? say(1000 * s, 'ms', 2) : say(s, 's', 2))

/** What follows from what was noted of it, in sentences. */
function Follows({ attempt }: { attempt: Attempt }) {
  const { analysis } = useTrial()
  const { data: shelf } = api.useLoadsQuery()
  return attemptWords(attempt, analysis, shelf).map((sentence) => (
    <p key={sentence} className="mb-1 max-w-prose">
      {sentence}
    </p>
  ))
}

/** One start: its course, what follows from it, and what else on the outlet rides through. */
export function AttemptDetail({ attempt }: { attempt: Attempt }) {
  const { entry, capture, seen, fault } = attempt
  const title = `${entry.reading.load}, attempt ${entry.reading.number}`
  const course = capture?.reading.figures.course
  if (!course)
    return (
      <>
        <Follows attempt={attempt} />
        <p className="text-quiet mb-1">No capture belongs to this attempt yet.</p>
        <AddWave belongsTo={{ about: entry.id }} words="what was recorded of this start" />
      </>
    )
  const { gone, beyond, turns, flickers } = otherEquipment(course, attempt.nominal)
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
      <div className="grid gap-3">
        <StartDrawing
          course={course}
          title={title}
          fileName={title}
          nominal={attempt.nominal}
          begins={seen?.begins ?? 0}
        />
        {beyond.length > 0 && (
          <RideDrawing
            course={course}
            nominal={attempt.nominal}
            title={`${title}: volts against the ITI curve`}
          />
        )}
      </div>
      <div>
        <Follows attempt={attempt} />
        {fault && <p className="text-ochre mb-2">{fault}</p>}
        {seen && (
          <FitTable>
            <tbody>
              {(
                [
                  ['worst cycle', attempt.current],
                  ['running', attempt.running],
                  ['inrush', attempt.multiple],
                  ['apparent, worst cycle', attempt.VA],
                  ['the machine’s own', attempt.motorWatts],
                ] as const
              ).map(([words, figure]) => (
                <tr key={words}>
                  <td className="text-quiet">{words}</td>
                  <td className="right">
                    <Fig of={figure} withUnit />
                  </td>
                </tr>
              ))}
              <tr>
                <td className="text-quiet">until it ran</td>
                <td className="figures right">{seen.toRun === undefined ? 'never' : seconds(seen.toRun)}</td>
              </tr>
              {([90, 80, 70] as const).map((share) => (
                <tr key={share}>
                  <td className="text-quiet">volts under {share} %</td>
                  <td className="figures right">
                    {seen.under[share] > 0 ? seconds(seen.under[share]) : 'never'}
                  </td>
                </tr>
              ))}
            </tbody>
          </FitTable>
        )}
        {attempt.reference && (
          <p className="mt-2">
            On a stiff source it took {say(attempt.reference.worst, 'A')} over its worst cycle
            {attempt.reference.toRun === undefined
              ? ''
              : `, and ran after ${seconds(attempt.reference.toRun)}`}
            .
          </p>
        )}
        {isFigure(attempt.lowest) && (
          <>
            <h3 className="mt-3 font-semibold">Other equipment on the outlet</h3>
            {gone && <p className="text-madder">The output was gone: all that hung on it dropped out.</p>}
            {!gone && beyond.length === 0 && (
              <p>Nothing on the outlet noticed: the volts stayed within 90 to 110 %.</p>
            )}
            <ul>
              {beyond.map(({ share, lasted, longest, rides }) => (
                <li key={share}>
                  <span className={rides ? 'text-moss' : 'text-madder'}>
                    {rides ? 'rides through' : 'may drop out'}
                  </span>
                  : {share < 1 ? 'under' : 'over'} {plain(100 * share)} % for {seconds(lasted)}
                  <span className="text-quiet">
                    {' '}
                    ({longest ? `${seconds(longest)} is borne` : 'no time is borne'})
                  </span>
                </li>
              ))}
            </ul>
            {flickers && <p>Lamps flicker: the volts turned {turns} times by over 0.5 %.</p>}
          </>
        )}
      </div>
    </div>
  )
}
