import type { Remark } from '@even-watt/contract'

/** Of a wish: what there is, and what there should be. */
export function Wish({ of: { present, wanted } }: { readonly of: Remark }) {
  if (present === undefined && wanted === undefined) return null
  return (
    <span className="text-quiet">
      {' '}
      {[present && `There is ${present}`, wanted && `there should be ${wanted}`].filter(Boolean).join('; ')}.
    </span>
  )
}
