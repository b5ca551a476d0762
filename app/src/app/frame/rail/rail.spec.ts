import { ComponentFixture, DeferBlockBehavior, DeferBlockState, TestBed } from '@angular/core/testing';
import { parseCard } from '@enumeron/core/deck';
import { cut } from '@enumeron/core/moves';
import { freshApp, until } from '../../../testing/fresh';
import { onPhone } from '../../../testing/phone';
import { render } from '../../../testing/render';
import { sampleOrders } from '../../nouns/orders/sample';
import { PackStore } from '../../nouns/pack/pack.store';
import { RailMarks } from '../../nouns/pack/marks';
import { Rail } from './rail';
import { RailStrip } from './rail-strip';
import { cellOf, cutByKey, gapAt } from './slot-places';
import { slotsOf } from './slot';

const home = sampleOrders()[0].cards;
const card = (name: string): number => parseCard(name) as number;

describe('slots', () => {
  test('a slot speaks its place, card, stack number and marks', () => {
    const marks = new Map([[17, ['wanted'] as const]]);
    expect(slotsOf(home, cut(home, 3), marks, [])[16].label).toBe(
      'place 17, seven of diamonds, stack number 20, wanted',
    );
    const both = new Map([[15, ['wanted', 'number'] as const]]);
    expect(slotsOf(home, cut(home, 5), both, [])[14].label).toContain(
      'stack number 20, wanted, number wanted',
    );
  });

  test('every point of the rail is nearest to a gap inside the pack, each gap to its own edge', () => {
    for (const columns of [52, 26, 13]) {
      const rows = 52 / columns;
      const box = { left: 10, top: 20, width: columns * 24, height: rows * 50 };
      for (let gap = 0; gap < 52; gap++) {
        const x = box.left + (gap % columns) * 24 + 5;
        const y = box.top + Math.floor(gap / columns) * 50 + 25;
        expect(gapAt({ x, y }, box, columns, 52)).toBe(gap);
      }
      expect(gapAt({ x: -999, y: -999 }, box, columns, 52)).toBe(0);
      expect(gapAt({ x: 9999, y: 9999 }, box, columns, 52)).toBe(52);
    }
  });
});

test('each key on the seam cuts as far as it says, for every turn of every size', () => {
  for (const size of [1, 2, 9, 52, 60])
    for (let offset = 0; offset < size; offset++) {
      expect((offset + (cutByKey('Home', offset, size) ?? NaN)) % size).toBe(0);
      expect(cutByKey('PageUp', offset, size)).toBe(10 % size);
      expect(cutByKey('ArrowLeft', offset, size)).toBe(size - 1);
      expect(cutByKey('toString', offset, size)).toBeUndefined();
    }
  expect(cellOf(0, 13)).toEqual({ row: 1, column: 1 });
  expect(cellOf(51, 13)).toEqual({ row: 4, column: 13 });
});

describe('the rail', () => {
  let fixture: ComponentFixture<Rail>;
  let pack: PackStore;
  const element = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const slots = (): HTMLButtonElement[] => [...element().querySelectorAll<HTMLButtonElement>('.slot')];
  const seam = (): HTMLElement | null => element().querySelector('[role=slider]');
  const press = (target: Element | null, key: string): void => {
    target?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
  };

  beforeEach(async () => {
    await freshApp();
    pack = TestBed.inject(PackStore);
    fixture = TestBed.createComponent(Rail);
    await fixture.whenStable();
  });

  test('one tab stop, and the arrow keys go from slot to slot', () => {
    expect(slots().filter(({ tabIndex }) => tabIndex === 0)).toHaveLength(1);
    slots()[0].focus();
    for (const [key, place] of [
      ['ArrowRight', 2],
      ['End', 52],
      ['ArrowRight', 52],
      ['ArrowLeft', 51],
      ['Home', 1],
      ['ArrowLeft', 1],
    ] as const) {
      press(document.activeElement, key);
      expect(document.activeElement).toBe(slots()[place - 1]);
    }
    expect(slots().filter(({ tabIndex }) => tabIndex === 0)).toEqual([slots()[0]]);
  });

  test('the seam says how far the pack is turned, and turns it by keys', async () => {
    expect(seam()?.getAttribute('aria-valuetext')).toBe('cut at 0');
    press(seam(), 'ArrowRight');
    press(seam(), 'PageUp');
    await fixture.whenStable();
    expect(pack.offset()).toBe(11);
    expect(seam()?.getAttribute('aria-valuenow')).toBe('11');
    press(seam(), 'ArrowLeft');
    expect(pack.offset()).toBe(10);
    press(seam(), 'Home');
    expect(pack.offset()).toBe(0);
  });

  test('a shuffled pack has no seam, and shows where the order breaks', async () => {
    await pack.apply({ kind: 'deal', count: 5 });
    await fixture.whenStable();
    expect(seam()).toBeNull();
    expect(element().querySelectorAll('.broken')).toHaveLength(5);
  });

  test('marks of the room and what was seen are there for eye and ear', async () => {
    TestBed.inject(RailMarks).set(new Map([[17, ['wanted']]]));
    await pack.see({ at: 'face', card: card('KH') });
    await fixture.whenStable();
    expect(slots()[16].classList).toContain('wanted');
    expect(slots()[51].getAttribute('aria-label')).toBe('place 52, king of hearts, stack number 3, seen');
  });
});

test('a slot that is pressed before its menu has come opens it when it comes', async () => {
  await freshApp([], undefined, DeferBlockBehavior.Manual);
  const { fixture, find } = await render(Rail);
  find('button[data-cell]').click();
  await fixture.whenStable();
  expect(document.querySelector('.mat-mdc-menu-item')).toBeNull();
  for (const block of await fixture.getDeferBlocks()) await block.render(DeferBlockState.Complete);
  await fixture.whenStable();
  await until(
    () => document.querySelector('.mat-mdc-menu-item')?.textContent.includes('A♣ is wanted') === true,
  );
});

describe('the strip of a phone', () => {
  const marked = new Map([
    [17, ['wanted'] as const],
    [15, ['number'] as const],
    [52, ['seen'] as const],
  ]);

  test('shows seam and marks, says them, and is opened by a tap', async () => {
    await freshApp();
    const slots = slotsOf(home, cut(home, 3), marked, []);
    const strip = await render(RailStrip, { slots, seam: 49 });
    expect(strip.all('.bar')).toHaveLength(52);
    expect(strip.all('.bar')[16].classList).toContain('wanted');
    expect(strip.all('.bar')[14].classList).toContain('number');
    expect(strip.find('.seam').style.left).toMatch(/^94\.23/);
    const button = strip.find('button');
    expect(button.getAttribute('aria-label')).toBe(
      'Open the rail. wanted: seven of diamonds at 17. seen: king of hearts at 52',
    );
    let toggled = 0;
    strip.component.toggled.subscribe(() => toggled++);
    button.click();
    expect(toggled).toBe(1);
  });

  test('a phone shows the strip until it is opened', async () => {
    onPhone();
    await freshApp();
    const rail = await render(Rail);
    expect(rail.all('.slot')).toHaveLength(0);
    await rail.click('Open the rail');
    expect(rail.all('.slot')).toHaveLength(52);
    await rail.click('Fold the rail');
    expect(rail.all('.slot')).toHaveLength(0);
  });
});
