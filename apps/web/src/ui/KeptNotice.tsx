import { Notice } from './Notice'

/** Says that a form shows what was typed before and not saved. */
export function KeptNotice({ onDiscard }: { readonly onDiscard: () => void }) {
  return (
    <Notice kind="odd" word="Draft">
      What you typed here before was kept.{' '}
      <button type="button" className="plain-link" onClick={onDiscard}>
        Discard it
      </button>
    </Notice>
  )
}
