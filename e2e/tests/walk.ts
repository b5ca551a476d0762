import { Page } from '@playwright/test';

/** What a control is called, where something is wrong with it. */
interface Found {
  readonly unreached: readonly string[];
  readonly unshown: readonly string[];
  readonly stops: number;
}

/** So many presses of Tab are done before it is looked what they reached. */
const AT_ONCE = 8;

/**
 * Walks the page, or a part of it, by Tab and notes each stop, until all is reached or a whole lap reaches nothing new.
 * Cells of a grid are one stop, whose other cells the arrow keys reach, and so are the radio buttons of a set.
 */
export const walk = async (page: Page, within = 'body'): Promise<Found> => {
  await begin(page, within);
  let found = await look(page);
  for (let [presses, idle] = [0, 0]; presses < 400 && idle <= found.stops; presses += AT_ONCE) {
    await goInto(page, within);
    await Promise.all(Array.from({ length: AT_ONCE }, () => page.keyboard.press('Tab')));
    const now = await look(page);
    idle = now.stops === found.stops ? idle + AT_ONCE : 0;
    found = now;
    if (found.unreached.length === 0) break;
  }
  return found;
};

/** Behind the part it begins anew: a lap of it takes no way through the rest of the page. */
const goInto = (page: Page, within: string): Promise<void> =>
  page.evaluate((part) => {
    const [holder, focused] = [document.querySelector<HTMLElement>(part), document.activeElement];
    if (!holder || part === 'body' || (focused !== null && holder.contains(focused))) return;
    holder.tabIndex = -1;
    holder.focus();
  }, within);

/** What has been reached by now; what shows only when its line is reached has been drawn. */
const look = (page: Page): Promise<Found> =>
  page.evaluate(async () => {
    await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
    return (window as unknown as Walked).walked();
  });

const begin = (page: Page, within: string): Promise<void> =>
  page.evaluate((part) => {
    const reached = new Set<Element>();
    const unshown: string[] = [];
    const nameOf = (element: Element): string =>
      `${element.tagName.toLowerCase()} “${element.ariaLabel ?? element.textContent.trim().slice(0, 40)}”`;
    const shows = (element: Element): boolean => {
      // A field of Material, the ask line and a switch show it about them.
      if (element.closest('mat-form-field, .line, mat-slide-toggle')) return true;
      const { outlineStyle, boxShadow } = getComputedStyle(element);
      return outlineStyle !== 'none' || boxShadow !== 'none';
    };
    const isUsable = (element: Element): boolean =>
      element.closest(part) !== null &&
      element.checkVisibility({ visibilityProperty: true }) &&
      !element.matches(':disabled, [aria-hidden=true], [aria-hidden=true] *');
    const groupOf = (element: Element): Element[] => {
      if (element.matches('[data-cell]'))
        return [...(element.closest('[role]:not([data-cell]), nav')?.querySelectorAll('[data-cell]') ?? [])];
      const toggles = element.closest('[role=radiogroup]');
      if (toggles) return [...toggles.querySelectorAll('button, input')];
      return element.matches('[type=radio]')
        ? [...document.querySelectorAll(`[name="${(element as HTMLInputElement).name}"]`)]
        : [];
    };
    const isReached = (element: Element): boolean =>
      reached.has(element) || groupOf(element).some((each) => reached.has(each));
    document.addEventListener('focusin', ({ target }) => {
      const element = target as Element;
      if (!element.closest(part) || element.matches(part)) return;
      if (!reached.has(element) && !shows(element)) unshown.push(nameOf(element));
      reached.add(element);
    });
    const walked = (): Found => {
      const controls = [
        ...document.querySelectorAll('a[href], button, input, select, textarea, summary, [tabindex="0"]'),
      ].filter(isUsable);
      const unreached = controls.filter((element) => !isReached(element)).map(nameOf);
      return { unreached, unshown, stops: reached.size };
    };
    Object.assign(window, { walked });
    (document.activeElement as HTMLElement | null)?.blur();
  }, within);

interface Walked {
  walked(): Found;
}
