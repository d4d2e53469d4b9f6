import { expect, test } from '@playwright/test'
import { Technician } from './technician'

const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)

test('a whole visit with no signal, with a photo and a reload in the middle, is on the server when it returns', async ({
  page,
  context,
}) => {
  const technician = new Technician(page)
  await technician.signIn()
  // the service worker holds the application before the signal goes
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
  })
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
  await context.setOffline(true)
  await technician.take('PKG-1', 'Not cooling')
  await technician.measure('TB.R', 'TB.C', '25.2')
  await technician.tab('Look')
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: /^Photo: Filters clean/ }).click()
  await (await chooser).setFiles({ name: 'filter.png', mimeType: 'image/png', buffer: png })
  await expect(page.getByRole('heading', { name: 'Photos' })).toBeVisible()
  await page.reload()
  await expect(page.getByText(/on this device, not sent yet/)).toBeVisible()
  await technician.tab('Trace')
  await expect(
    page.getByRole('button', { name: 'More: outcomes, alternatives, can’t reach it' }),
  ).toBeVisible({
    timeout: 60_000,
  })
  await technician.measure('PB1.P1', 'TB.C', '24.9')
  await technician.tab('Repair')
  await technician.press('Choose a part')
  await page.getByLabel('Find a part').fill('PK1')
  await page.getByRole('link', { name: 'Part PK1', exact: true }).click()
  await technician.press('Record the repair of PK1')
  await technician.tab('Prove')
  await technician.prove('Cooling, first stage', 'runs')
  await technician.signOff('A loose plug. Seated.')
  const visit = page.url().split('/').at(-2) ?? ''
  await context.setOffline(false)
  await page.evaluate(() => window.dispatchEvent(new Event('online')))
  await expect
    .poll(async () => {
      const answer = await page.request.get(`/api/visits/${visit}/entries`)
      return answer.ok()
        ? ((await answer.json()) as { entries: { body: { kind: string } }[] }).entries.map(
            ({ body }) => body.kind,
          )
        : []
    })
    .toEqual(
      expect.arrayContaining(['complaint', 'arrived', 'reading', 'photo', 'repair', 'proof', 'sign-off']),
    )
  const { entries } = (await (await page.request.get(`/api/visits/${visit}/entries`)).json()) as {
    entries: { body: { kind: string; photo?: string } }[]
  }
  const photo = entries.find(({ body }) => body.kind === 'photo')?.body.photo ?? ''
  expect((await page.request.get(`/api/photos/${photo}`)).ok()).toBe(true)
})

test('signed out with no signal: nobody is in, and what was unsent goes by itself when there is one', async ({
  page,
  context,
}) => {
  const technician = new Technician(page)
  await technician.signIn()
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
  await context.setOffline(true)
  await technician.take('PKG-1', 'Not cooling')
  await technician.measure('TB.R', 'TB.C', '25.2')
  const visit = page.url().split('/').at(-1) ?? ''
  await page.goto('/')
  await technician.press('Sign out')
  await expect(page.getByText(/they go by themselves, and are then cleared here/)).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Password')).toBeVisible()
  await page.goto('/sites')
  await expect(page.getByLabel('Password')).toBeVisible()
  await context.setOffline(false)
  await page.evaluate(() => window.dispatchEvent(new Event('online')))
  await expect(page.getByText(/not sent yet/)).toHaveCount(0)
  // the cookie that the browser kept lets nobody in
  expect((await page.request.get('/api/places')).status()).toBe(401)
  await page.reload()
  await technician.signIn()
  await expect
    .poll(async () => {
      const answer = await page.request.get(`/api/visits/${visit}/entries`)
      const { entries = [] } = (await answer.json()) as { entries?: { body: { kind: string } }[] }
      return entries.map(({ body }) => body.kind)
    })
    .toEqual(expect.arrayContaining(['complaint', 'arrived', 'reading']))
})
