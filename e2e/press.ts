import { expect, type Locator, type Page } from '@playwright/test';

interface PressLog {
  down: Element | null;
  lost: string[];
  taken: number;
}

declare global {
  interface Window {
    pressLog: PressLog;
  }
}

/**
 * Notes in the page, of every press of the mouse, which control went down and which one was clicked. A press whose control moved away
 * before the button came up is clicked elsewhere or nowhere: it is lost.
 */
export async function watchPresses(page: Page): Promise<void> {
  await page.evaluate(() => {
    const control = (target: EventTarget | null) =>
      (target as Element | null)?.closest(
        'button, a, input, select, textarea, label, [role="option"], [role="combobox"], .ant-select, .ant-input-number',
      ) ?? null;
    const name = (element: Element) =>
      element.getAttribute('aria-label') ?? (element.textContent.trim().slice(0, 60) || element.tagName);
    const log: PressLog = { down: null, lost: [], taken: 0 };
    window.pressLog = log;
    const settle = (clicked: Element | null) => {
      if (log.down && log.down !== clicked) log.lost.push(name(log.down));
      else if (log.down) log.taken += 1;
      log.down = null;
    };
    document.addEventListener(
      'mousedown',
      (event) => {
        if (log.down) settle(null);
        log.down = control(event.target);
      },
      true,
    );
    document.addEventListener('click', (event) => event.detail > 0 && settle(control(event.target)), true);
  });
}

/** How many presses there were, and the names of the controls that lost theirs. */
export const pressesLost = (page: Page) =>
  page.evaluate(() => ({
    taken: window.pressLog.taken,
    lost: [...window.pressLog.lost, ...(window.pressLog.down ? ['the last press'] : [])],
  }));

/** Holds the mouse button down as a hand does: between 60 and 105 ms, another time at each press. */
export async function pressAll(page: Page, controls: Locator): Promise<number> {
  // The controls as they are before the first press: one may take others away, as “Remove set” does, or bring new ones.
  const handles = await controls.elementHandles();
  let pressed = 0;
  for (const [i, control] of handles.entries()) {
    // All that is looked at before a press in one question: there are hundreds of controls.
    const box = await control.evaluate((node) => {
      const element = node as HTMLButtonElement & { scrollIntoViewIfNeeded(): void };
      if (!element.isConnected || element.disabled) return undefined;
      element.scrollIntoViewIfNeeded();
      const { x, y, width, height } = element.getBoundingClientRect();
      const seen = width > 0 && height > 0 && getComputedStyle(element).visibility === 'visible';
      return seen ? { x, y, width, height } : undefined;
    });
    if (!box) continue;
    // The point is aimed at once, as an eye does: where the control moves afterwards, the press misses it.
    await page.mouse.move(box.x + Math.min(box.width / 2, 40), box.y + box.height / 2);
    await page.mouse.down();
    // The time a finger rests on the button, not a wait for the page.
    await page.waitForTimeout(60 + ((i * 37) % 45));
    await page.mouse.up();
    pressed += 1;
  }
  return pressed;
}

/** Presses every one of these controls once, with the mouse, and expects each to have been clicked. */
export async function expectNoPressLost(page: Page, controls: Locator): Promise<number> {
  await watchPresses(page);
  const pressed = await pressAll(page, controls);
  expect((await pressesLost(page)).lost).toEqual([]);
  return pressed;
}
