import { answer } from './answers'
import { bringNear } from './useNear'

const frame = () => new Promise((resolve) => requestAnimationFrame(resolve))
const mostFrames = 900

/** Waits until every chart and every part of an element of the screen is drawn; at most some seconds. */
export async function drawn(element: HTMLElement): Promise<void> {
  const open = () =>
    element.querySelector('[data-drawing]') !== null ||
    [...element.querySelectorAll('figure [role=img]')].some((chart) => !chart.querySelector('svg path')) ||
    [...element.querySelectorAll('img')].some((picture) => !picture.complete)
  bringNear()
  for (const picture of element.querySelectorAll('img')) picture.loading = 'eager'
  for (let i = 0; open(); i++) {
    if (i > mostFrames) throw new Error('A chart of this page is not drawn: look at it first.')
    await frame()
  }
}

/** Prints the page once all of it is drawn: a part that is still on its way would be missing on paper. */
export async function printDrawn(): Promise<void> {
  await drawn(document.body).catch((error: unknown) =>
    answer(error instanceof Error ? error.message : 'Some of this page is not drawn yet.'),
  )
  print()
}
