import { expect, type Locator, type Page } from '@playwright/test';

/** More stops than any page has. */
const STOPS = 400;

/** Presses Tab until a control has the focus, as who has no pointer must; fails where Tab never comes to it. */
export async function tabTo(page: Page, control: Locator): Promise<void> {
  await expect(control.first()).toBeVisible();
  const isThere = () =>
    control
      .first()
      .evaluate((element) => element === document.activeElement || element.contains(document.activeElement));
  for (let i = 0; i < STOPS; i += 1) {
    if (await isThere()) {
      await expect(control.first(), 'the focus is seen').toBeInViewport();
      return;
    }
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab does not come to ${control.toString()}`);
}

/** Goes to a control by Tab and presses it with a key. */
export async function pressByKey(page: Page, control: Locator, key = 'Enter'): Promise<void> {
  await tabTo(page, control);
  await page.keyboard.press(key);
}

/** What shows by its pointer that it can be pressed, and can't be come to by keys: of each a line of its mark-up. */
export const pointerOnly = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const byKeys = 'a[href], button, input, select, textarea, summary, [tabindex], label, option';
    return [...document.querySelectorAll<HTMLElement>('body *')]
      .filter((element) => getComputedStyle(element).cursor === 'pointer')
      .filter((element) => element.getClientRects().length > 0)
      .filter((element) => !element.closest(byKeys) && !element.querySelector(byKeys))
      .map((element) => element.outerHTML.slice(0, 140));
  });
