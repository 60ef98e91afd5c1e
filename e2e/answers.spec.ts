import { expect, test } from '@playwright/test'
import { demoUrl, freshTrial, stage, trialNamed } from './support/pages'

test('a trial opens on its questions: what to read next, and an answer as soon as it is read', async ({
  page,
}) => {
  const id = await freshTrial(page, 'Only an afternoon')
  await page.goto(`${demoUrl()}/trials/${id}`)
  const questions = page.getByRole('list', { name: 'Questions' })
  await expect(questions.getByRole('listitem')).toHaveCount(9)
  await page.getByText('What is asked of it').click()
  await page.getByRole('button', { name: 'an afternoon' }).click()
  await expect(questions.getByRole('listitem')).toHaveCount(6)
  await page.getByLabel('Is the battery good enough?').uncheck()
  await expect(questions.getByRole('listitem')).toHaveCount(5)
  await expect(questions).not.toContainText('battery good enough')

  // What settles most for its time; then the one load that settles all the rest.
  const next = page.getByRole('region', { name: 'Read next' })
  await expect(next).toContainText('It would settle: What does it take for nothing?')
  await next.getByRole('button', { name: 'Something else' }).click()
  await expect(next.getByRole('listitem').first()).toContainText('about 10 min')
  await next.getByRole('listitem').first().getByRole('link', { name: 'Load it' }).click()

  // Its prompts open at arm’s length, the cautions first.
  const prompts = page.getByRole('dialog')
  await expect(prompts).toContainText('First: make safe')
  await prompts.getByRole('button', { name: /I have read these/ }).click()
  await expect(prompts).toContainText(/Connect about 14\d\d W, and hold it for 10 min\./)
  await page.keyboard.type('plate high')
  for (const value of ['', '25.2', '24.8', '41', '226', '904']) await page.keyboard.type(`${value}\n`)
  await expect(prompts).toContainText('● Captured: plate high')
  await prompts.getByRole('button', { name: 'Leave' }).click()
  expect(page.url()).not.toContain('prompts')
  await stage(page, /Answers/).click()
  const leads = questions.getByRole('listitem').filter({ hasText: 'Are the leads good enough?' })
  await expect(leads).toContainText(/They take 0\.40.* V, 1\.5.* % at 904/)
  await expect(leads).toContainText('◐ roughly')
  await expect(leads).toContainText('the joints took 9.51 W more than they should')
  // A figure of an answer is worked as any other.
  await leads.getByRole('button', { name: /W$/ }).last().click()
  await expect(page.getByRole('dialog')).toContainText('P_path')
  await page.keyboard.press('Escape')
})

test('a station is asked for its ports and its charging, and a broken promise says no', async ({ page }) => {
  await page.goto(`${demoUrl()}/trials/${await trialNamed(page, 'Corrick')}`)
  const questions = page.getByRole('list', { name: 'Questions' })
  const line = (words: string) => questions.getByRole('listitem').filter({ hasText: words })
  await expect(line('Does it give its 850 W?')).toContainText('■ no')
  await expect(line('What do its ports give?')).toContainText('Not met: port (45 W')
  await expect(questions).not.toContainText('Are the leads good enough?')
  await expect(line('Do I keep it?')).toContainText('Against: what it gives')
})

test('the work order has seven parts; what a unit has no use for stands behind a word', async ({ page }) => {
  const id = await freshTrial(page, 'Seven parts')
  await page.goto(`${demoUrl()}/trials/${id}`)
  const order = page.getByRole('navigation', { name: 'Work order' })
  await expect(order.getByRole('link')).toHaveCount(7)
  await order.getByRole('button', { name: 'More tests' }).click()
  await expect(order.getByRole('link')).toHaveCount(8)
  await stage(page, /Waves/).click()
  await expect(page.getByRole('heading', { name: 'Waves' })).toBeVisible()
  await expect(order.getByRole('link')).toHaveCount(12)
})
