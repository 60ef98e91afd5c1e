import type { History } from './useHistory'

/** The two buttons of a history; each says its key. A page that has them means them by these keys, not its record. */
export function UndoRedo({ undo, redo }: History) {
  return (
    <span className="no-print flex gap-4" data-history>
      <button type="button" className="plain-link" disabled={!undo} onClick={undo}>
        Undo <span className="kbd">Ctrl Z</span>
      </button>
      <button type="button" className="plain-link" disabled={!redo} onClick={redo}>
        Redo <span className="kbd">Ctrl Shift Z</span>
      </button>
    </span>
  )
}
