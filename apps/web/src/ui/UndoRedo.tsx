import type { History } from './useHistory'

/** The two buttons of a history; each says its key. */
export function UndoRedo({ undo, redo }: History) {
  return (
    <span className="no-print flex gap-4">
      <button type="button" className="plain-link" disabled={!undo} onClick={undo}>
        Undo <span className="kbd">Ctrl Z</span>
      </button>
      <button type="button" className="plain-link" disabled={!redo} onClick={redo}>
        Redo <span className="kbd">Ctrl Shift Z</span>
      </button>
    </span>
  )
}
