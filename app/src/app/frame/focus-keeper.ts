import { DOCUMENT, inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';

/** What takes the focus by Tab. */
const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary, [tabindex]:not([tabindex="-1"])';

/** Where an element stood: its ancestors from the nearest on, each with the child of it that led to the element. */
interface Stood {
  readonly element: Element;
  readonly url: string;
  readonly within: readonly { readonly ancestor: Element; readonly index: number }[];
}

const indexIn = (ancestor: Element, child: Element): number => [...ancestor.children].indexOf(child);

const placeOf = (element: Element, url: string): Stood => {
  const within: { ancestor: Element; index: number }[] = [];
  for (let child = element; child.parentElement; child = child.parentElement)
    within.push({ ancestor: child.parentElement, index: indexIn(child.parentElement, child) });
  return { element, url, within };
};

/** Whether it can be gone into: it shows, and is no part that is closed. */
const isThere = (element: Element): element is HTMLElement =>
  element instanceof HTMLElement && element.getClientRects().length > 0;

/** In an element the first control at or after a child, or else the last before it. */
const nearestIn = (ancestor: Element, index: number, isTouch: boolean): HTMLElement | undefined => {
  // A text field would call a phone's keyboard up.
  const controls = [...ancestor.querySelectorAll(FOCUSABLE)]
    .filter(isThere)
    .filter((control) => !isTouch || !control.matches('input:not([type=checkbox], [type=radio]), textarea'));
  const at = (control: Element): number =>
    [...ancestor.children].findIndex((child) => child.contains(control));
  return controls.find((control) => at(control) >= index) ?? controls.at(-1);
};

/**
 * Keeps the focus where one was working: when what has it is taken away or switched off, it goes to what stands there
 * now, or else beside it; when another page has come, to the room. Without it, it would fall to the page's body, and the
 * next Tab would begin at the top.
 */
@Injectable({ providedIn: 'root' })
export class FocusKeeper {
  private readonly document = inject(DOCUMENT);
  private readonly router = inject(Router);
  private last: Stood | undefined;

  constructor() {
    this.document.addEventListener('focusin', ({ target }) => {
      // What is laid over the page gives the focus back itself.
      if (target instanceof Element && !target.closest('.cdk-overlay-container'))
        this.last = placeOf(target, this.path());
    });
    new MutationObserver(() => this.look()).observe(this.document.body, {
      ...{ childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] },
    });
  }

  private path(): string {
    return this.router.url.split(/[?#]/)[0];
  }

  private look(): void {
    const { last, document } = this;
    if (!last || document.activeElement !== document.body) return;
    if (last.element.isConnected && !last.element.matches(':disabled')) return;
    // An open dialog or menu has it, or is about to.
    if (document.querySelector('.cdk-overlay-container [role=dialog], .cdk-overlay-container [role=menu]'))
      return;
    this.last = undefined;
    this.goTo(last);
  }

  private goTo({ url, within }: Stood): void {
    const room = this.document.querySelector<HTMLElement>('main');
    const left = within.find(({ ancestor }) => ancestor.isConnected);
    const stays = url === this.path() && left && room?.contains(left.ancestor) === true;
    const near = stays ? this.nearest(within, room) : undefined;
    (near ?? room)?.focus({ preventScroll: near === undefined });
  }

  /** The nearest control within the nearest ancestor that is left and has one, up to the room. */
  private nearest(within: Stood['within'], room: Element): HTMLElement | undefined {
    const isTouch = this.document.defaultView?.matchMedia('(pointer: coarse)').matches === true;
    for (const { ancestor, index } of within) {
      if (ancestor === room) return undefined;
      const control = ancestor.isConnected ? nearestIn(ancestor, index, isTouch) : undefined;
      if (control) return control;
    }
    return undefined;
  }
}
