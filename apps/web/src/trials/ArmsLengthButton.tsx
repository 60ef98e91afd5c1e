import { useKey } from '../ui/keys'

/** Opens what is typed at arm’s length: large, one thing after another; by its key too. */
export function ArmsLengthButton({ onOpen }: { readonly onOpen: () => void }) {
  useKey((event) => event.key.toLowerCase() === 'f' && !event.ctrlKey && !event.metaKey, onOpen)
  return (
    <button
      type="button"
      className="text-quiet hover:text-ink max-md:border max-md:border-ink max-md:px-3 max-md:py-1.5 max-md:font-bold max-md:text-ink"
      onClick={onOpen}
    >
      Arm’s length <span className="kbd">F</span>
    </button>
  )
}
