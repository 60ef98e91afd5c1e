import { expect, test, type Page } from '@playwright/test'
import { captureStep, demoUrl, freshTrial, trialNamed } from './support/pages'

test('a trial says whom it suits and why; the tester says otherwise, and takes it back', async ({ page }) => {
  const trial = await trialNamed(page, 'Ottrel 1400-24 rev C')
  await page.goto(`${demoUrl()}/trials/${trial}/findings`)
  const room = page.getByRole('listitem').filter({ hasText: 'a living room' }).first()
  await expect(room).toContainText('not known')
  await expect(room).toContainText('Read its noise with silent loads')
  await expect(page.getByRole('listitem').filter({ hasText: 'standby overnight' }).first()).toContainText(
    '● suits',
  )
  await page.getByRole('button', { name: 'Overrule: a living room' }).click()
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByText(/^Why: |Enter .*why/i).first()).toBeVisible()
  await page.getByLabel('Because').fill('It hangs in the cellar under it.')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(room).toContainText('● suits')
  await expect(room).toContainText(
    'It hangs in the cellar under it. The tester’s own word; by the rule: not known.',
  )
  // In the comparison and in the report too.
  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await expect(page.getByText('It hangs in the cellar under it.')).toBeVisible()
  await page.goto(`${demoUrl()}/trials/${trial}/findings`)
  await page.getByRole('button', { name: 'Overrule: a living room' }).click()
  await page.getByRole('button', { name: 'Let the rule stand' }).click()
  await expect(room).toContainText('○ not known')
})

/** Whatever other walks chose: the settings of a bench that was asked, and chose no uses of its own. */
async function asABenchBegins(page: Page): Promise<void> {
  const at = `${demoUrl()}/api/settings`
  const known = (await (await page.request.get(at)).json()) as { version: number } | null
  const content = { mains: '230 V 50 Hz', currency: 'EUR' }
  const answer = await page.request.put(at, { data: { editedFrom: known?.version ?? 0, content } })
  expect(answer.status()).toBe(200)
}

test('what a use needs is the tester’s own', async ({ page }) => {
  await asABenchBegins(page)
  await page.goto(`${demoUrl()}/settings/uses`)
  const standby = page.getByRole('group', { name: 'standby overnight' })
  await standby.getByLabel('Limit').fill('a lot')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('standby overnight: "a lot" is not a number.')).toBeVisible()
  await standby.getByLabel('Limit').fill('1')
  await page.getByRole('button', { name: 'Add a use' }).click()
  await page.getByLabel('Use', { exact: true }).last().fill('standby overnight')
  await page.getByLabel('Limit').last().fill('9')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Uses: two have the same name.')).toBeVisible()
  await page.getByLabel('Use', { exact: true }).last().fill('a quiet load')
  // Whoever leaves the page finds what was typed there again.
  await page.goto(demoUrl())
  await page.goto(`${demoUrl()}/settings/uses`)
  await expect(page.getByText('What you typed here before was kept.')).toBeVisible()
  await expect(page.getByLabel('Use', { exact: true }).last()).toHaveValue('a quiet load')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await expect(page.getByText('What you typed here before was kept.')).toHaveCount(0)
  const trial = await trialNamed(page, 'Ottrel 1400-24 for')
  await page.goto(`${demoUrl()}/trials/${trial}/findings`)
  await expect(page.getByRole('listitem').filter({ hasText: 'standby overnight' }).first()).toContainText(
    '■ does not suit',
  )
  await expect(page.getByRole('listitem').filter({ hasText: 'a quiet load' }).first()).toContainText(
    'does not suit',
  )
  // As a bench begins.
  await asABenchBegins(page)
})

test('the answer is put in the tester’s words, and says when the evidence has moved since', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Answered')
  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  await captureStep(page, 'plate', ['25.9', '25.6', '15.1', '230', '1.52', '350'])
  await page.goto(`${demoUrl()}/trials/${trial}/findings`)
  await page.getByRole('button', { name: 'Put it in your words' }).click()
  await page.getByLabel('Sentence 1').fill('')
  await page.getByLabel('Sentence 2').fill('')
  await page.getByLabel('Sentence 3').fill('')
  await page.getByRole('button', { name: 'Keep these words' }).click()
  await expect(page.getByText('Answer: at least one sentence.')).toBeVisible()
  await page.getByLabel('Sentence 1').fill('Too little was tried to say.')
  // Half of it survives a reload.
  await page.reload()
  await page.getByRole('button', { name: 'Put it in your words' }).click()
  await expect(page.getByLabel('Sentence 1')).toHaveValue('Too little was tried to say.')
  await page.getByRole('button', { name: 'Keep these words' }).click()
  await expect(page.getByText('Too little was tried to say.')).toBeVisible()
  await expect(page.getByText(/The evidence has moved/)).toHaveCount(0)
  await page.goto(`${demoUrl()}/trials/${trial}/ladder`)
  await captureStep(page, 'oven', ['25.4', '25.1', '60.3', '229', '6.1', '1410'])
  await page.goto(`${demoUrl()}/trials/${trial}/findings`)
  await expect(page.getByText('▲ The evidence has moved since these words were written.')).toBeVisible()
  await page.getByRole('button', { name: 'Change your words' }).click()
  await page.getByRole('button', { name: 'As the evidence says' }).click()
  await expect(page.getByText('Too little was tried to say.')).toHaveCount(0)
})
