import { expect, test } from '@playwright/test'
import { Technician } from './technician'

test('“repaired” is refused until it is true, for each of its reasons', async ({ page }) => {
  const technician = new Technician(page)
  const why = (words: RegExp) => expect(page.getByText(words).first()).toBeVisible()
  const sign = page.getByRole('button', { name: 'Sign off: repaired' })
  await technician.signIn()
  await technician.take('RTU-1', 'Not cooling')
  await technician.measure('LPS1.1', 'TB.C', '25.0')
  await technician.measure('LPS1.2', 'TB.C', '0')
  await technician.lift('LPS1.2', /, to /)
  await technician.tab('Prove')
  await why(/No repair is recorded/)
  await why(/The lead at .*LPS1\.2.* is still off/)
  await technician.repairLeader(/Low-pressure switch 1/)
  await technician.tab('Prove')
  await why(/The repair is not proven/)
  await technician.press(/is landed$/)
  await expect(page.getByText(/is still off/)).toBeHidden()

  // another call than the one that was complained of
  await technician.run('Fan')
  await page.getByLabel('Fan: right').click()
  await why(/What was complained of is not proven: run “Cooling, first stage”/)

  // a call is judged when its delay is over, and a value that is off needs its reason
  await page.getByRole('button', { name: 'Set it: Cooling, first stage', exact: true }).click()
  await why(/It is set\. .* takes another \d:\d\d; then it can be judged/)
  await expect(page.getByLabel('Cooling, first stage: right')).toBeHidden()
  await technician.press('It is over: it was calling before')
  await page.getByRole('button', { name: 'Values for Cooling, first stage' }).click()
  await page
    .getByRole('button', { name: /^Control power/ })
    .last()
    .click()
  await technician.type('12.1')
  await page.getByLabel('Cooling, first stage: right').click()
  await why(/Control power, R to C is not as it should be: say why it is left so/)
  await expect(sign).toBeDisabled()

  // power taken away takes the proof with it
  await technician.prove('Cooling, first stage', 'all as it should be')
  await expect(sign).toBeEnabled()
  await technician.isolate()
  await why(/The unit is switched off/)
  await expect(page.getByText('Power is off. Switch it on to run this call.').first()).toBeVisible()
  await technician.powerOn()
  await why(/The power was switched after “Cooling, first stage” was proven: prove it once more/)

  // left as it is, only with words, who was told and until when
  await technician.press('Not repaired: leave it restricted or off')
  await expect(page.getByRole('button', { name: 'Left off' })).toBeDisabled()
  await technician.prove('Cooling, first stage', 'still as it should be')
  await technician.signOff('It cools again.')
  expect(technician.complaints).toEqual([])
})
