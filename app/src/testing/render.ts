import { Type } from '@angular/core';
import { ComponentFixture, TestBed } from '@angular/core/testing';

/** A component on a page of its own, and what tests do with it again and again. */
export interface Rendered<C> {
  readonly fixture: ComponentFixture<C>;
  readonly component: C;
  readonly element: HTMLElement;
  /** What can be read, white space folded. */
  text(): string;
  find(selector: string): HTMLElement;
  all(selector: string): HTMLElement[];
  /** The button whose text or label holds these words. */
  button(words: string): HTMLButtonElement;
  click(words: string): Promise<void>;
  /** Opens what is folded: a `details` element. */
  unfold(selector: string): Promise<void>;
  /** Types a whole text into a field, as one input. */
  type(selector: string, text: string): Promise<void>;
  set(input: string, value: unknown): Promise<void>;
}

export const render = async <C>(
  component: Type<C>,
  inputs: Readonly<Record<string, unknown>> = {},
): Promise<Rendered<C>> => {
  const fixture = TestBed.createComponent(component);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  const element = fixture.nativeElement as HTMLElement;
  document.body.append(element);
  await fixture.whenStable();
  const all = (selector: string): HTMLElement[] => [...element.querySelectorAll<HTMLElement>(selector)];
  const find = (selector: string): HTMLElement => {
    const [found] = all(selector);
    if (!(found as HTMLElement | undefined)) throw new Error(`no ${selector} in ${element.innerHTML}`);
    return found;
  };
  const button = (words: string): HTMLButtonElement => {
    const found = all('button').find((each) => `${each.ariaLabel ?? ''} ${each.textContent}`.includes(words));
    if (!found) throw new Error(`no button “${words}”`);
    return found as HTMLButtonElement;
  };
  return {
    fixture,
    component: fixture.componentInstance,
    element,
    text: () => element.textContent.replace(/\s+/g, ' ').trim(),
    find,
    all,
    button,
    click: async (words) => {
      button(words).click();
      await fixture.whenStable();
    },
    unfold: async (selector) => {
      const details = find(selector) as HTMLDetailsElement;
      details.open = true;
      details.dispatchEvent(new Event('toggle'));
      await fixture.whenStable();
    },
    type: async (selector, text) => {
      const field = find(selector) as HTMLInputElement;
      field.value = text;
      field.dispatchEvent(new Event('input', { bubbles: true }));
      await fixture.whenStable();
    },
    set: async (input, value) => {
      fixture.componentRef.setInput(input, value);
      await fixture.whenStable();
    },
  };
};
