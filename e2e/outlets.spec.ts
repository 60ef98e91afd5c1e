import { expect, test, type Page } from '@playwright/test'
import { demoUrl, freshTrial } from './support/pages'

const choose = (page: Page, name: string) =>
  page.getByRole('group', { name: 'What was tested' }).getByText(name, { exact: true }).click()
const capture = async (page: Page) => {
  await page.getByRole('button', { name: /^Capture/ }).click()
  await expect(page.getByText('is captured').last()).toBeVisible()
}

test('behind the outlets: an odd outlet, a long cord, a breaker too large for its copper, the mains beside the unit', async ({
  page,
}) => {
  const trial = await freshTrial(page, 'Behind the outlets')
  await page.goto(`${demoUrl()}/trials/${trial}/outlets`)
  await expect(page.getByText('Mains volts kill')).toBeVisible()
  await page.getByLabel('Outlet and its volts').fill('front left 229.8\nfront right\nback 224,1')
  await page.getByRole('button', { name: /^Capture/ }).click()
  await expect(page.getByText('Line 2: the outlet and its volts')).toBeVisible()
  await page.getByLabel('Outlet and its volts').fill('front left 229.8\nfront right 229.6\nback 224,1')
  await capture(page)
  await expect(page.getByText('Back stands 5.5 V lower than the others')).toBeVisible()

  await choose(page, 'Cord or lead')
  await page.getByLabel('Which').fill('orange extension')
  await page.getByLabel(/^Running/).fill('8')
  await page.getByLabel('Size of a conductor').fill('thick')
  await page.getByLabel(/^Long/).fill('20')
  await page.getByLabel(/^Starting/).fill('40')
  await page.getByRole('button', { name: /^Capture/ }).click()
  await expect(page.getByText('mm² or AWG, as in')).toBeVisible()
  await page.getByLabel('Size of a conductor').fill('1.5 mm²')
  await capture(page)
  await expect(page.getByText('by its size and length, 4.12 V (1.8 %)')).toBeVisible()
  await expect(page.getByText('In the start 40.0 A would take 20.6 V (9.0 %)')).toBeVisible()

  await choose(page, 'Breaker')
  await page.getByLabel('Which').fill('left duplex')
  await page.getByLabel(/^Its rating/).fill('20')
  await page.getByLabel(/^Through it/).fill('24')
  await page.getByLabel('Size of a conductor').fill('14 AWG')
  await capture(page)
  await expect(page.getByText('it burns before this opens. Use 12 AWG')).toBeVisible()

  await choose(page, 'Ground-fault device')
  await page.getByLabel('Which').fill('back outlet')
  await page.getByLabel(/^It opens at/).fill('30')
  await page.getByLabel('The fault was made by').selectOption('a tester from live to earth')
  await page.getByLabel(/^Leaked/).fill('30')
  await page.getByLabel(/^Opened after/).fill('310')
  await capture(page)
  await expect(page.getByText('It fails: nobody relies on it')).toBeVisible()

  await choose(page, 'The same load on the mains')
  await page.getByLabel('Load', { exact: true }).fill('table saw')
  await page.getByLabel(/^Starting/).fill('46')
  await capture(page)
  await expect(page.getByText('No attempt on the unit is called “table saw” yet.')).toBeVisible()

  await page.goto(`${demoUrl()}/trials/${trial}/report`)
  await expect(page.getByRole('heading', { name: 'Outlets, cords, breakers' })).toBeVisible()
})
