import type { Page } from '@playwright/test'

/** What axe leaves undecided: icons, whose glyphs are no text to it, and what something else lies over. */
interface Undecided {
  readonly nodes: readonly { readonly target: unknown; readonly html: string }[]
}

/**
 * Of what axe could not decide, what stands out too little from what is really painted behind it: 3 to 1
 * for an icon and large text, 4.5 to 1 for other text (WCAG 2.2, 1.4.3 and 1.4.11). Disabled things are
 * let be, as there.
 */
export const faintAmong = (page: Page, undecided: readonly Undecided[]): Promise<readonly string[]> =>
  page.evaluate(
    (selectors) => {
      const channels = (color: string): readonly number[] => (color.match(/[\d.]+/g) ?? []).map(Number)
      const luminance = (rgb: readonly number[]): number => {
        const [r, g, b] = rgb.slice(0, 3).map((value) => {
          const share = value / 255
          return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
        })
        return 0.2126 * r + 0.7152 * g + 0.0722 * b
      }
      /** The first thing behind an element that is painted and not transparent. */
      const behind = (element: Element): readonly number[] => {
        for (let at: Element | null = element; at; at = at.parentElement) {
          const [r, g, b, alpha = 1] = channels(getComputedStyle(at).backgroundColor)
          if (alpha === 1 && r !== undefined) return [r, g, b]
        }
        return [255, 255, 255]
      }
      return selectors.flatMap((selector) => {
        const element = document.querySelector(selector)
        if (!element || element.closest('[aria-disabled="true"], :disabled')) return []
        const style = getComputedStyle(element)
        const isIcon = style.fontFamily.includes('feather')
        const isLarge =
          parseFloat(style.fontSize) >= 24 ||
          (parseFloat(style.fontSize) >= 18.66 && Number(style.fontWeight) >= 700)
        const [light, dark] = [luminance(channels(style.color)), luminance(behind(element))].sort(
          (a, b) => b - a,
        )
        const ratio = (light + 0.05) / (dark + 0.05)
        return ratio < (isIcon || isLarge ? 3 : 4.5)
          ? [`${isIcon ? 'icon' : element.textContent}: ${ratio.toFixed(2)} to 1`]
          : []
      })
    },
    undecided.flatMap(({ nodes }) =>
      nodes.flatMap(({ target }) => (Array.isArray(target) ? target.map(String) : [])),
    ),
  )
