import { Page } from '@playwright/test';

/** What is pressed in a room. What stands in a label or a Material field is as large as that. */
const PRESSED = ['button', 'a', 'input', 'select', 'textarea', 'summary', '[role=slider]']
  .map((each) => `main ${each}:visible`)
  .join(', ');

/** Targets that a thumb would miss: narrower or lower than 44 px. */
export const smallTargets = (page: Page): Promise<string[]> =>
  page.locator(PRESSED).evaluateAll((all) =>
    all
      .filter((each) => {
        // A link in a sentence is a part of it, and its lines are as high as they are.
        if (getComputedStyle(each).display === 'inline') return false;
        const whole = each.closest('label, mat-slide-toggle, .mat-mdc-text-field-wrapper') ?? each;
        return ![each, whole]
          .map((part) => part.getBoundingClientRect())
          .some(({ width, height }) => width >= 44 && height >= 44);
      })
      .map((each) => `${each.outerHTML.slice(0, 120)} ${each.clientWidth}×${each.clientHeight}`),
  );
