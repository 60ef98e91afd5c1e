import type { StoredRig } from '@even-watt/contract'
import { quantityData } from '@even-watt/core'
import { partName } from './partName'
import { FitTable } from '../ui/FitTable'

interface Props {
  readonly rig: StoredRig
  readonly meters: readonly { id: string; name: string }[]
}

/** Which meter reads what, and where. */
export function HungMeters({ rig, meters }: Props) {
  const conductor = (on: string | undefined) => (on === undefined ? '' : partName(rig, on))
  return (
    <>
      <h2 className="mt-4">Meters at the taps</h2>
      {rig.assignments.length ? (
        <FitTable className="max-w-2xl">
          <thead>
            <tr>
              <th>quantity</th>
              <th>tap</th>
              <th>meter</th>
              <th>on</th>
            </tr>
          </thead>
          <tbody>
            {rig.assignments.map(({ quantity, meter, on }, i) => (
              <tr key={i}>
                <td>
                  {quantity}{' '}
                  <span className="text-quiet">
                    {quantity === 'idle I' ? 'input current at idle' : quantityData[quantity].words}
                  </span>
                </td>
                <td>{quantity === 'idle I' ? 'B' : quantityData[quantity].tap}</td>
                <td>{meters.find((candidate) => candidate.id === meter)?.name}</td>
                <td>{conductor(on)}</td>
              </tr>
            ))}
          </tbody>
        </FitTable>
      ) : (
        <p>No meter is hung up: readings carry no uncertainty and settle no claim.</p>
      )}
    </>
  )
}
