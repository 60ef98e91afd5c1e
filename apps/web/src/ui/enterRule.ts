import { useEffect } from 'react'

const fields = 'input:not([type="hidden"], [type="file"]), select, textarea'

const canTake = (field: HTMLElement) =>
  !field.matches(':disabled, [readonly]') && field.getClientRects().length > 0

/** The field after another one in its form, or none where that is the last. */
function fieldAfter(field: HTMLElement, form: HTMLFormElement): HTMLElement | undefined {
  const all = [...form.querySelectorAll<HTMLElement>(fields)].filter((one) => one === field || canTake(one))
  return all[all.indexOf(field) + 1]
}

/** Puts the hand where a form begins. */
export function focusFirst(form: HTMLElement | null): void {
  const first = [...(form?.querySelectorAll<HTMLElement>(fields) ?? [])].find(canTake)
  first?.focus()
}

/**
 * One rule for all forms: Enter goes to the next field and submits from the last, Ctrl+Enter submits from any, Escape
 * leaves the field. A field that does otherwise with a key says so by preventing the default. In a field of several
 * lines Enter begins a new line.
 */
export function useEnterRule(): void {
  useEffect(() => {
    const obey = (event: KeyboardEvent) => {
      const { target } = event
      if (event.defaultPrevented || event.isComposing || !(target instanceof HTMLElement)) return
      if (!target.matches(fields)) return
      if (event.key === 'Escape') {
        target.blur()
        return
      }
      const form = target.closest('form')
      if (event.key !== 'Enter' || !form) return
      const submits = event.ctrlKey || event.metaKey
      if (!submits && target instanceof HTMLTextAreaElement) return
      event.preventDefault()
      const next = submits ? undefined : fieldAfter(target, form)
      if (next) next.focus()
      else form.requestSubmit()
    }
    addEventListener('keydown', obey)
    return () => removeEventListener('keydown', obey)
  }, [])
}
