import { setTheme } from '../ui/theme'
import { bringNear } from '../ui/useNear'

const frame = () => new Promise((resolve) => requestAnimationFrame(resolve))
const mostFrames = 900

/** Waits until every chart of a part of the screen is drawn; at most some seconds. */
async function drawn(element: HTMLElement): Promise<void> {
  const open = () =>
    element.querySelector('[data-drawing]') !== null ||
    [...element.querySelectorAll('figure [role=img]')].some((chart) => !chart.querySelector('svg path'))
  bringNear()
  for (let i = 0; open(); i++) {
    if (i > mostFrames) throw new Error('A chart of this page is not drawn: look at it first.')
    await frame()
  }
}

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
