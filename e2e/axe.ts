import type { Page } from '@playwright/test'
import axe from 'axe-core'

declare global {
  interface Window {
    readonly axe: typeof axe
  }
}

/** Half a megabyte: taken in once for each page that is loaded. */
const takeIn = `window.axe || (() => { ${axe.source} })()`

/** What axe finds on a page as it is now; all of its rules, or only some. */
export async function runAxe(page: Page, rules: readonly string[] | null = null): Promise<axe.AxeResults> {
  await page.evaluate(takeIn)
  return page.evaluate(
    (some) =>
      window.axe.run(document, {
        resultTypes: ['violations', 'incomplete'],
        ...(some ? { runOnly: [...some] } : {}),
      }),
    rules,
  )
}
