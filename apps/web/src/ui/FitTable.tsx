import { useLayoutEffect, useRef, type ComponentProps } from 'react'
import { headCells } from './headCells'

/**
 * A table. Where its columns have no room each row is a card, every figure under the words of its column: nothing is
 * moved sideways to be read (cards in app.css).
 */
export function FitTable({ className = '', children, ...rest }: ComponentProps<'table'>) {
  const frame = useRef<HTMLDivElement>(null)
  useLayoutEffect(() => {
    const table = frame.current?.querySelector('table')
    if (!frame.current || !table) return
    const isCards = () => table.hasAttribute('data-cards')
    const fit = () => {
      if (!frame.current) return
      table.removeAttribute('data-cards')
      if (frame.current.scrollWidth > frame.current.clientWidth + 1) {
        headCells(table)
        table.setAttribute('data-cards', '')
      }
    }
    // What is added to cards is headed too; what grows out of its frame becomes cards.
    const changed = new MutationObserver(() => (isCards() ? headCells(table) : fit()))
    changed.observe(table, { childList: true, subtree: true, characterData: true })
    let width = frame.current.clientWidth
    const sized = new ResizeObserver(([entry]) => {
      if (!entry || entry.contentRect.width === width) return
      width = entry.contentRect.width
      fit()
    })
    sized.observe(frame.current)
    fit()
    return () => {
      changed.disconnect()
      sized.disconnect()
    }
  }, [])
  return (
    <div ref={frame} className="overflow-x-auto">
      <table className={`list-table ${className}`} {...rest}>
        {children}
      </table>
    </div>
  )
}
