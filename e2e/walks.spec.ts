import { expect, test, type Page } from '@playwright/test'
import { Installation } from './support/installation'
import { captureStep } from './support/pages'

/** The screens that a walk leads over, one after the other; a screen that gets its name by being kept is still the same. */
function screensOf(page: Page): readonly string[] {
  const seen: string[] = []
  page.on('framenavigated', (frame) => {
    const path = new URL(frame.url()).pathname.replace(/^\/compare\/.+/, '/compare/one')
    if (frame === page.mainFrame() && seen.at(-1) !== path) seen.push(path)
  })
  return seen
}

interface Reviewed {
  readonly name: string
  /** Amps with nothing connected. */
  readonly idle: string
  /** W lost of each that is given. */
  readonly lost: number
}

const units: readonly Reviewed[] = [
  { name: 'Pellam 600-12', idle: '0.52', lost: 0.11 },
  { name: 'Corrick 600', idle: '0.81', lost: 0.15 },
  { name: 'Ottrel 600-12', idle: '0.65', lost: 0.09 },
]
const loads = [60, 200, 350, 500]

/** A step as its meters read it, in reading order: volts at the posts and the terminals, amps, outlet. */
function valuesAt(watts: number, lost: number): string[] {
  const amps = (8 + (1 + lost) * watts) / 12.6
  return [12.8 - 0.004 * amps, 12.8 - 0.008 * amps, amps, 230, watts / 230, watts].map((value) =>
    value.toPrecision(4),
  )
}

test('a reviewer publishes three units compared in twelve screens, and a workshop begins the next trial in three actions', async ({
  page,
}) => {
  const place = Installation.create('nothing')
  try {
    await place.start('--empty')
    const seen = screensOf(page)
    await page.goto(place.url)
    await page.getByRole('link', { name: 'Begin in a minute' }).first().click()
    for (const [i, { name, idle, lost }] of units.entries()) {
      await page.getByLabel('Name').fill(name)
      await page.getByLabel('Nominal input').fill('12')
      await page.getByLabel('On the label').fill('600')
      await page.getByLabel('Its wave, as the label says').selectOption('sine')
      if (i === 0) await page.getByLabel('Mains of your place').selectOption('230 V 50 Hz')
      await page.getByLabel('Bank, leads, fuse').fill('12 V 100 Ah AGM, leads 16 mm² 1 m, fuse 100 A')
      await page.getByLabel('Meter 1').fill('multimeter 0.5 % + 2')
      await page.getByLabel('Meter 2').fill('clamp 400 A 2 % + 3')
      await page.getByRole('button', { name: 'One more meter' }).click()
      await page.getByLabel('Meter 3').fill('plug wattmeter 1 % + 1')
      await page.getByLabel('DC volts are read at').selectOption('both')
      await page.getByLabel('Your initials').fill('R.V.')
      await page.getByRole('button', { name: 'Begin', exact: true }).click()
      await page
        .getByRole('navigation', { name: 'Work order' })
        .getByRole('link', { name: /Measure/ })
        .click()
      await page.getByRole('button', { name: 'Read it', exact: true }).click()
      const nothing = page.getByRole('region', { name: 'Nothing connected' })
      await nothing.getByLabel(/^V_B/).fill('12.79')
      await nothing.getByLabel(/^I:/).fill(idle)
      await page.keyboard.press('Control+Enter')
      await expect(nothing).toHaveCount(0)
      for (const watts of loads) await captureStep(page, `heater ${watts}`, valuesAt(watts, lost))
      await page.keyboard.press('Escape')
      if (i === units.length - 1) break
      await page.getByRole('button', { name: /Go anywhere/ }).click()
      await page.getByRole('combobox', { name: 'Go anywhere' }).fill('Begin in a minute')
      await page
        .getByRole('option', { name: /Begin in a minute/ })
        .first()
        .click()
    }
    const trial = page.url()
    await page.getByRole('link', { name: 'Compare', exact: true }).click()
    await page
      .getByRole('link', { name: /comparison/ })
      .first()
      .click()
    for (const [i, { name }] of units.entries()) {
      await page.getByLabel(i ? 'Lay beside it' : 'Compare', { exact: true }).fill(name)
      await page
        .getByRole('option', { name: new RegExp(name) })
        .first()
        .click()
    }
    await page.getByLabel('Keep it under the name').fill('Three for the van')
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Publish edition 1' }).click(),
    ])
    expect(download.suggestedFilename()).toBe('Three for the van, edition 1.html')
    await expect(page.getByRole('region', { name: 'The answer' })).toContainText('idle draw')
    test.info().annotations.push({ type: 'walk', description: `${seen.length} screens: ${seen.join(' ')}` })
    expect(seen.length, seen.join(' ')).toBeLessThanOrEqual(12)

    await page.goto(trial)
    let actions = 0
    for (const way of [
      page.getByRole('link', { name: 'A trial like this' }),
      page.getByRole('button', { name: 'Start', exact: true }),
    ]) {
      await way.click()
      actions += 1
    }
    await page.waitForURL(/answers/)
    expect(page.url()).not.toContain(trial)
    expect(actions).toBeLessThanOrEqual(3)
    await expect(page.getByRole('list', { name: 'Questions' })).toBeVisible()
  } finally {
    await place.remove()
  }
})
