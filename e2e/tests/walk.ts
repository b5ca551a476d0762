import { Page } from '@playwright/test';

/** What a control is called, where something is wrong with it. */
interface Found {
  readonly unreached: readonly string[];
  readonly unshown: readonly string[];
  readonly stops: number;
}

/**
 * So many presses of Tab are done before it is looked whether they reached anything new. A whole lap without is the end:
 * what shows only when its line is reached is there in the next, since these presses come faster than a frame.
 */
const AT_ONCE = 8;

/**
 * Walks the page, or a part of it, by Tab and notes each stop. Cells of a grid are one stop, whose other cells the arrow
 * keys reach, and so are the radio buttons of a set.
 */
export const walk = async (page: Page, within = 'body'): Promise<Found> => {
  await page.evaluate((part) => {
    const reached = new Set<Element>();
    const unshown: string[] = [];
    const nameOf = (element: Element): string =>
      `${element.tagName.toLowerCase()} “${element.ariaLabel ?? element.textContent.trim().slice(0, 40)}”`;
    const shows = (element: Element): boolean => {
      // A field of Material, the ask line and a switch show it about them.
      if (element.closest('mat-form-field, .line, mat-slide-toggle, mat-button-toggle')) return true;
      const { outlineStyle, boxShadow } = getComputedStyle(element);
      return outlineStyle !== 'none' || boxShadow !== 'none';
    };
    document.addEventListener('focusin', ({ target }) => {
      const element = target as Element;
      if (!element.closest(part) || element.matches(part)) return;
      if (!reached.has(element) && !shows(element)) unshown.push(nameOf(element));
      reached.add(element);
    });
    Object.assign(window, { walked: { reached, unshown, nameOf } });
    (document.activeElement as HTMLElement | null)?.blur();
  }, within);
  for (let [stops, step, idle] = [-1, 0, 0]; step < 400; step += AT_ONCE) {
    // Behind the part it begins anew: a lap of it takes no way through the rest of the page.
    await page.evaluate((part) => {
      const [holder, focused] = [document.querySelector<HTMLElement>(part), document.activeElement];
      if (!holder || part === 'body' || (focused !== null && holder.contains(focused))) return;
      holder.tabIndex = -1;
      holder.focus();
    }, within);
    for (let press = 0; press < AT_ONCE; press++) await page.keyboard.press('Tab');
    const reached = await page.evaluate(() => (window as unknown as Walked).walked.reached.size);
    idle = reached === stops ? idle + AT_ONCE : 0;
    if (idle > reached) break;
    stops = reached;
  }
  return page.evaluate((part) => {
    const { reached, unshown, nameOf } = (window as unknown as Walked).walked;
    const controls = [
      ...document.querySelectorAll('a[href], button, input, select, textarea, summary, [tabindex="0"]'),
    ];
    const usable = controls.filter(
      (element) =>
        element.closest(part) !== null &&
        element.checkVisibility({ visibilityProperty: true }) &&
        !element.matches(':disabled, [aria-hidden=true], [aria-hidden=true] *'),
    );
    const groupOf = (element: Element): Element[] => {
      if (element.matches('[data-cell]'))
        return [...(element.closest('[role]:not([data-cell]), nav')?.querySelectorAll('[data-cell]') ?? [])];
      const toggles = element.closest('[role=radiogroup]');
      if (toggles) return [...toggles.querySelectorAll('button, input')];
      return element.matches('[type=radio]')
        ? [...document.querySelectorAll(`[name="${(element as HTMLInputElement).name}"]`)]
        : [];
    };
    return {
      unreached: usable
        .filter((element) => !reached.has(element) && !groupOf(element).some((each) => reached.has(each)))
        .map(nameOf),
      unshown,
      stops: reached.size,
    };
  }, within);
};

interface Walked {
  readonly walked: {
    readonly reached: Set<Element>;
    readonly unshown: string[];
    readonly nameOf: (element: Element) => string;
  };
}
