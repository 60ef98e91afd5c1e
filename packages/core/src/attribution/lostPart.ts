import type { Figure } from '../figures'

/** What of the path a part belongs to: its cables, what is switched or fused in it, or what joins them. */
export type PathKind = 'leads' | 'devices' | 'joints'

type PartKind = 'bank' | PathKind | 'unit'

/** One part's share of what was lost between the batteries' own EMF and the outlet. */
export interface LostPart {
  readonly kind: PartKind
  /** "negative lug", "bank", "unit". */
  readonly name: string
  /** The one element that it is, where a survey told it apart. */
  readonly element?: string
  /** V missing at B because of it; absent for the unit. */
  readonly volts?: Figure
  readonly watts: Figure
  /** W above what a sound part would take, when that is clear of its uncertainty. */
  readonly excess?: Figure
}
