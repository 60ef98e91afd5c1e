import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { createContext, use, type ReactNode } from 'react'

interface Props {
  readonly title: string
  /** Beside the title, and under it. */
  readonly beside?: ReactNode
  readonly under?: ReactNode
  readonly onClose: () => void
  /** What is pressed, in reach of a thumb. */
  readonly foot: ReactNode
  readonly children: ReactNode
}

/** What must be read before anything is asked; while it is there it stands in place of the prompts. */
export const ReadFirst = createContext<Omit<Props, 'onClose'> | undefined>(undefined)

/** One prompt at a time over the whole window, large enough to be read from where the meters are. */
export function AtArmsLength({ onClose, ...prompts }: Props) {
  const { title, beside, under, foot, children } = use(ReadFirst) ?? prompts
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <DialogPanel className="bg-ground fixed inset-0 flex flex-col overflow-y-auto">
        <div className="border-b border-rule px-5 py-3">
          <div className="flex items-baseline justify-between gap-4">
            <DialogTitle className="truncate text-lg font-bold">{title}</DialogTitle>
            {beside && <span className="text-quiet figures whitespace-nowrap">{beside}</span>}
          </div>
          {under && <p className="text-quiet">{under}</p>}
        </div>
        <div className="flex flex-1 flex-col gap-3 px-5 py-4">{children}</div>
        <div className="sticky bottom-0 flex flex-wrap border-t-2 border-ink bg-ground">
          <FootButton onClick={onClose}>Leave</FootButton>
          {foot}
        </div>
      </DialogPanel>
    </Dialog>
  )
}

interface ButtonProps {
  readonly onClick: () => void
  readonly disabled?: boolean
  /** What one presses to go on. */
  readonly main?: boolean
  readonly children: ReactNode
}

export function FootButton({ onClick, disabled = false, main = false, children }: ButtonProps) {
  return (
    <button
      type="button"
      className={`py-5 text-lg font-bold ${main ? 'bg-ink text-ground flex-[2]' : 'flex-1'}`}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </button>
  )
}

/** An answer that is pressed instead of typed. */
export function LargeChoice({ onClick, children }: Pick<ButtonProps, 'onClick' | 'children'>) {
  return (
    <button
      type="button"
      className="action w-full py-4 text-left text-2xl whitespace-normal"
      onClick={onClick}
    >
      {children}
    </button>
  )
}
