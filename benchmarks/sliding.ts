import { stationRigs } from '@even-watt/bench'
import type { PathElement, Rig } from '@even-watt/contract'
import { elementStates, sharing, solveNetwork, weakestLinks } from '@even-watt/core'
import { chromium } from '@playwright/test'
import { browserOptions } from '../e2e/support/browser'
import { Installation } from '../e2e/support/installation'
import { sayFrames, timeFrames } from './frames'
import { medianTime, say } from './report'

const batteries = 16
const perSide = 20

/** A rig as large as the contract allows: 16 batteries in line, 20 elements on each side. */
function largeRig(): Rig {
  const { g12 } = stationRigs
  const [battery] = g12.bank.strings[0] ?? []
  const [lug] = g12.negative.slice(-1)
  const lead = g12.positive.find(({ kind }) => kind === 'cable')
  if (!battery || !lug || !lead) throw new Error('no model to copy')
  const side = (sign: string): PathElement[] =>
    Array.from({ length: perSide }, (_, i) => ({
      ...(i % 2 ? lead : lug),
      id: crypto.randomUUID(),
      name: `${sign} element ${i + 1}`,
    }))
  const links = Array.from({ length: batteries - 1 }, (_, i) => 0.0002 + i * 1e-5)
  return {
    ...g12,
    name: 'Large',
    bank: {
      ...g12.bank,
      strings: Array.from({ length: batteries }, (_, i) => [
        { ...battery, id: crypto.randomUUID(), name: `B${i + 1}`, resistance: 0.005 + i * 1e-4 },
      ]),
      join: { kind: 'in line', positive: links, negative: links, positiveAt: 0, negativeAt: batteries - 1 },
    },
    positive: side('plus'),
    negative: side('minus'),
    assignments: [],
  }
}

/** Sliding the current with 16 batteries and 40 elements: the arithmetic alone, and to the drawn frame. */
export async function benchSliding(): Promise<void> {
  const rig = largeRig()
  const all = await medianTime(200, () => {
    elementStates(rig, 60)
    weakestLinks(rig, 60)
    sharing(rig.bank, 60)
  })
  const branches = Array.from({ length: 31 }, (_, i) => ({ from: i, to: i + 1, emf: 1, resistance: 0.01 }))
  const bare = await medianTime(200, () => solveNetwork({ nodes: 32, branches }, 0))
  say('all of a slide, 16 batteries, 40 elements', all, 'one bare network of 32 nodes', bare, 'ms')

  const place = Installation.create('nothing')
  const browser = await chromium.launch(browserOptions)
  try {
    await place.start('--empty')
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    const id = crypto.randomUUID()
    const answer = await page.request.put(`${place.url}/api/rigs/${id}`, {
      data: { editedFrom: 0, content: rig },
    })
    if (!answer.ok()) throw new Error(await answer.text())
    await page.goto(`${place.url}/rigs/${id}`)
    await page.getByText(/at most .* out/).waitFor()
    await page.getByLabel('Current into the unit, A').focus()
    await timeFrames(page, 'input')
    for (let i = 0; i < 40; i++) {
      await page.keyboard.press('ArrowRight')
      await page.waitForTimeout(80)
    }
    await sayFrames(page, 'slide to drawn frame, 16 batteries, 40 elements', 50)
  } finally {
    await browser.close()
    await place.remove()
  }
}
