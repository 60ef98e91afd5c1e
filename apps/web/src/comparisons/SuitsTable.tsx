import { suitsOf, type Compared } from '@even-watt/core'
import { SuitsMark } from '../suits/SuitsMark'
import { useRules } from '../suits/useRules'
import { BesideTable } from './BesideTable'

/** For whom each of them is, by the rules of this bench. */
export function SuitsTable({ list }: { readonly list: readonly Compared[] }) {
  const rules = useRules()
  if (!rules.length) return null
  const suits = list.map((one) => suitsOf(rules, one, one.trial.overruled))
  return (
    <section className="mt-5">
      <h2>Whom each suits</h2>
      <BesideTable list={list}>
        {rules.map(({ name }, k) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            {suits.map((lines, i) => {
              const line = lines[k]
              return (
                <td key={i}>
                  {line && (
                    <>
                      <SuitsMark says={line.says} />
                      <span className="text-quiet block text-[0.85rem]">{line.why ?? line.reasons[0]}</span>
                    </>
                  )}
                </td>
              )
            })}
          </tr>
        ))}
      </BesideTable>
    </section>
  )
}
