import { dismissAnswer, useAnswer } from './answers'

/** The last answer: at the foot of the window, where it covers no field; on a phone, whose buttons stand there, above. */
export function AnswerBar() {
  const said = useAnswer()
  return (
    <div
      className="no-print pointer-events-none fixed inset-x-0 bottom-0 z-50 flex justify-center p-3 max-md:top-12 max-md:bottom-auto"
      role="status"
    >
      {said && (
        <p className="bg-ink text-ground pointer-events-auto flex max-w-full items-baseline gap-4 px-4 py-2">
          <span className="min-w-0 break-words">{said.words}</span>
          {said.undo && (
            <button
              type="button"
              className="font-semibold underline"
              onClick={() => {
                dismissAnswer()
                said.undo?.()
              }}
            >
              Undo
            </button>
          )}
        </p>
      )}
    </div>
  )
}
