/** Why a value, or what was worked out from it, must not decide anything; and what would help. */
export interface Refusal {
  readonly why: string
  readonly todo: string
  /** What else may be made of a meter that only responds otherwise than by RMS. */
  readonly code?: 'responds to the average' | 'responds to the peak'
}
