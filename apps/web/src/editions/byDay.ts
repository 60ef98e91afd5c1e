import { drawn } from '../ui/drawn'
import { setTheme } from '../ui/theme'

/** s after which charts have followed a change of theme. */
const settles = 0.4

/** Does something while the screen stands by day, as paper does, with all its charts drawn. */
export async function byDay<T>(element: HTMLElement, work: () => T): Promise<T> {
  const night = document.documentElement.dataset['theme'] === 'night'
  if (night) {
    setTheme('day')
    await new Promise((resolve) => setTimeout(resolve, 1000 * settles))
  }
  try {
    await drawn(element)
    return work()
  } finally {
    if (night) setTheme('night')
  }
}
