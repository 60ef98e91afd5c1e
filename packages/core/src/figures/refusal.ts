/** Why a value, or what was worked out from it, must not decide anything; and what would help. */
export interface Refusal {
  readonly why: string
  readonly todo: string
}
