import { plain, say, type Sag } from '@even-watt/core'
import { sayShare } from './words'
import { FitTable } from '../ui/FitTable'

/** Why the output sags, with what it rests on. */
export function SagPart({ sag }: { sag: Sag }) {
  const stepped = sag.rows.some(({ width }) => width !== undefined)
  return (
    <section className="mt-4 break-inside-avoid">
      <h2>Why it sags</h2>
      <ul className="grid max-w-3xl gap-1">
        {sag.causes.map(({ cause, sentence }) => (
          <li key={cause}>{sentence}</li>
        ))}
        {sag.stiffer !== undefined && (
          <li>
            With the volts at the terminals held as they were at the lightest load, {sag.rows.at(-1)?.load}{' '}
            would have about {say(sag.stiffer, 'V')} <span className="text-ochre">estimated</span>.
          </li>
        )}
      </ul>
      <FitTable className="mt-1 max-w-4xl min-w-[34rem]">
        <thead>
          <tr>
            <th>load</th>
            <th className="right">P_C, W</th>
            <th className="right">V_B, V</th>
            <th className="right">RMS, V</th>
            <th className="right">{stepped ? 'plateau, V' : 'peak, V'}</th>
            {stepped && <th className="right">width</th>}
            {stepped && <th className="right">droop</th>}
            <th className="right">crest</th>
          </tr>
        </thead>
        <tbody className="figures">
          {sag.rows.map((row, i) => (
            <tr key={i}>
              <td className="font-sans">{row.load}</td>
              <td className="right">{plain(Math.round(row.watts))}</td>
              <td className="right">{row.V_B === undefined ? '–' : say(row.V_B, '', 4)}</td>
              <td className="right">{say(row.rms, '', 4)}</td>
              <td className="right">{say(row.height, '')}</td>
              {stepped && <td className="right">{row.width === undefined ? '–' : sayShare(row.width)}</td>}
              {stepped && <td className="right">{row.droop === undefined ? '–' : sayShare(row.droop)}</td>}
              <td className="right">{say(row.crest, '')}</td>
            </tr>
          ))}
        </tbody>
      </FitTable>
    </section>
  )
}
