import type { Page } from '@playwright/test';

/** Least height and width of what is pressed with a glove, or 44 with 8 between; least text; least text in a drawing. */
export const LEAST = { target: 48, apart: 44, text: 14, drawn: 12 } as const;

/** What on this page is too small to press or to read, each named once. */
export async function tooSmall(page: Page): Promise<string[]> {
  const found = await page.evaluate(({ target, text, drawn }) => {
    const seen = (element: Element) => {
      const box = element.getBoundingClientRect();
      const style = getComputedStyle(element);
      return (
        box.width > 1 &&
        box.height > 1 &&
        style.visibility !== 'hidden' &&
        !element.closest('.visually-hidden')
      );
    };
    const nameOf = (element: Element) =>
      `${element.tagName.toLowerCase()}.${element.getAttribute('class') ?? ''} “${(element.getAttribute('aria-label') ?? element.textContent).trim().replace(/\s+/g, ' ').slice(0, 40)}”`;
    const pressed = [
      ...document.querySelectorAll(
        'button, a[href], summary, input:not([type="hidden"]), textarea, [role="button"], [role="radio"], [role="tab"]',
      ),
    ].filter((element) => seen(element) && !element.closest('svg'));
    /** A field or a box to tick is as large as the label or the frame that takes the press for it. */
    const framed = (element: Element) => element.closest('.v-field, label') ?? element;
    /** A link in a line of text is read there, and is as high as the line (WCAG 2.2, 2.5.8, inline). */
    const inLine = (element: Element) =>
      element.tagName === 'A' && getComputedStyle(element).display === 'inline';
    const small = pressed.flatMap((element) => {
      if (inLine(element)) return [];
      const box = framed(element).getBoundingClientRect();
      return box.height >= target - 0.6 && box.width >= target - 0.6
        ? []
        : [`${Math.round(box.width)} × ${Math.round(box.height)} ${nameOf(element)}`];
    });
    const ownText = (element: Element) =>
      [...element.childNodes].some(({ nodeType, textContent }) => nodeType === 3 && textContent?.trim());
    const tiny = [...document.body.querySelectorAll('*')].flatMap((element) => {
      if (!ownText(element) || !seen(element) || element.closest('script, style, noscript')) return [];
      const size = Number.parseFloat(getComputedStyle(element).fontSize);
      const svg = element instanceof SVGGraphicsElement ? element.getScreenCTM() : null;
      const scaled = size * (svg ? Math.hypot(svg.a, svg.b) : 1);
      return scaled >= (svg ? drawn : text) - 0.05 ? [] : [`${scaled.toFixed(1)} px ${nameOf(element)}`];
    });
    return [...small, ...tiny];
  }, LEAST);
  return [...new Set(found)];
}
