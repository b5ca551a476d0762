import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { render } from '../../testing/render';
import { Choice } from './choice';

@Component({
  imports: [Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<en-choice name="Weave" lead="Meant" [options]="kinds" [says]="says" [(value)]="kind" />`,
})
class Page {
  readonly kinds = ['in', 'out', 'none'];
  readonly says = (kind: string): string => `${kind} weave`;
  readonly kind = signal('out');
}

const key = (target: HTMLElement, pressed: string): KeyboardEvent => {
  const event = new KeyboardEvent('keydown', { key: pressed, bubbles: true, cancelable: true });
  target.dispatchEvent(event);
  return event;
};

test('a press chooses one; a screen reader hears of what it is one', async () => {
  const page = await render(Page);
  const group = page.find('en-choice');
  expect([group.role, group.ariaLabel]).toEqual(['radiogroup', 'Weave']);
  expect(page.text()).toBe('Meant in weave out weave none weave');
  expect(page.all('[role=radio]').map((each) => each.getAttribute('aria-checked'))).toEqual([
    'false',
    'true',
    'false',
  ]);
  await page.click('in weave');
  expect(page.component.kind()).toBe('in');
});

test('it is one stop of Tab, and the arrow keys choose, round and round', async () => {
  const page = await render(Page);
  const stops = (): string[] =>
    page
      .all('[role=radio]')
      .filter((each) => each.tabIndex === 0)
      .map((each) => each.textContent.trim());
  expect(stops()).toEqual(['out weave']);
  const options = page.all('[role=radio]');
  options[1].focus();
  for (const [pressed, chosen] of [
    ['ArrowRight', 'none'],
    ['ArrowDown', 'in'],
    ['ArrowLeft', 'none'],
    ['ArrowUp', 'out'],
  ]) {
    expect(key(document.activeElement as HTMLElement, pressed).defaultPrevented).toBe(true);
    await page.fixture.whenStable();
    expect(page.component.kind()).toBe(chosen);
    expect(document.activeElement?.textContent.trim()).toBe(`${chosen} weave`);
    expect(stops()).toEqual([`${chosen} weave`]);
  }
  expect(key(options[1], 'x').defaultPrevented).toBe(false);
});

test('where nothing of what is offered is chosen yet, Tab reaches the first', async () => {
  const page = await render(Page);
  page.component.kind.set('another');
  await page.fixture.whenStable();
  expect(page.all('[role=radio]').map((each) => each.tabIndex)).toEqual([0, -1, -1]);
  key(page.all('[role=radio]')[0], 'ArrowRight');
  expect(page.component.kind()).toBe('in');
});

@Component({
  imports: [Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<en-choice name="Minutes" [options]="[2, 5]" [value]="5" (valueChange)="asked.set($event)" />`,
})
class Refusing {
  readonly asked = signal(0);
}

test('what is refused is not shown as chosen', async () => {
  const page = await render(Refusing);
  await page.click('2');
  expect(page.component.asked()).toBe(2);
  expect(page.find('[aria-checked=true]').textContent.trim()).toBe('5');
});
