import type { RevisionRecord } from './record'

/**
 * All that one rig revision of a trial says. Each subject declares its own part here and computes it
 * (docs/adding-a-subject.md); a part is worked out when it is first asked for.
 */
export interface Analysis {
  readonly record: RevisionRecord
}

/** Names of the parts that subjects bring. */
export type PartName = Exclude<keyof Analysis, 'record'>
