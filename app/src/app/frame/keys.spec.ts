import { TestBed } from '@angular/core/testing';
import { freshApp } from '../../testing/fresh';
import { render, Rendered } from '../../testing/render';
import { SettingsStore } from '../nouns/settings/settings.store';
import { Intent } from './ask/reply';
import { AskLine } from './ask/ask-line';
import { ShortcutKeys } from './shortcuts';

beforeEach(async () => {
  await freshApp();
});

const press = (
  key: string,
  target: EventTarget = document.body,
  modifiers: KeyboardEventInit = {},
): KeyboardEvent => {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...modifiers });
  target.dispatchEvent(event);
  return event;
};

describe('shortcuts', () => {
  let done: string[];

  beforeEach(() => {
    done = [];
    const names = ['d', 'u', 'shift+u', '?', '/', 'mod+z', 'mod+shift+z'];
    TestBed.inject(ShortcutKeys).use(Object.fromEntries(names.map((name) => [name, () => done.push(name)])));
  });

  test('single keys and those with Ctrl or Command', () => {
    press('d');
    press('U', document.body, { shiftKey: true });
    press('?', document.body, { shiftKey: true });
    press('z', document.body, { ctrlKey: true });
    press('Z', document.body, { metaKey: true, shiftKey: true });
    expect(done).toEqual(['d', 'shift+u', '?', 'mod+z', 'mod+shift+z']);
  });

  test('a key that does something is taken, one that does nothing is left alone', () => {
    expect(press('d').defaultPrevented).toBe(true);
    expect(press('x').defaultPrevented).toBe(false);
    expect(press('constructor').defaultPrevented).toBe(false);
    expect(press('d', document.body, { altKey: true }).defaultPrevented).toBe(false);
    expect(done).toEqual(['d']);
  });

  test.each(['<input>', '<textarea></textarea>', '<select></select>'])(
    'not while one types into %s',
    (markup) => {
      document.body.insertAdjacentHTML('beforeend', markup);
      press('d', document.body.lastElementChild as Element);
      expect(done).toEqual([]);
    },
  );

  test.each(['menu', 'dialog'])('not while a %s is open', (role) => {
    document.body.insertAdjacentHTML('beforeend', `<div role="${role}"></div>`);
    press('d');
    document.body.lastElementChild?.remove();
    expect(done).toEqual([]);
    press('d');
    expect(done).toEqual(['d']);
  });

  test('single keys can be switched off; those with Ctrl stay', async () => {
    await TestBed.inject(SettingsStore).change({ singleKeys: false });
    press('d');
    press('z', document.body, { ctrlKey: true });
    expect(done).toEqual(['mod+z']);
  });
});

describe('the ask line', () => {
  let line: Rendered<AskLine>;
  let asked: Intent[];
  let emptyEnters: number;
  const field = (): HTMLInputElement => line.find('input') as HTMLInputElement;

  beforeEach(async () => {
    line = await render(AskLine);
    [asked, emptyEnters] = [[], 0];
    line.component.asked.subscribe((intent) => asked.push(intent));
    line.component.emptyEntered.subscribe(() => emptyEnters++);
  });

  test('Enter does what the text says at that moment, whatever the list still shows', () => {
    for (const text of ['7D', '7D 1', '7D 15']) {
      field().value = text;
      field().dispatchEvent(new Event('input'));
    }
    press('Enter', field());
    expect(asked).toEqual([{ do: 'want', card: 19, number: 15 }]);
    expect(field().value).toBe('');
  });

  test('an unfinished word is completed, and one that is wrong stays', async () => {
    await line.type('input', 'fa');
    press('Enter', field());
    expect(field().value).toBe('face ');
    await line.type('input', '11h');
    press('Enter', field());
    expect([field().value, asked]).toEqual(['11h', []]);
    expect(line.text()).toContain('Ranks are A, 2 to 10');
  });

  test('Enter on the empty line is its own word, and does not follow from a text that was done', async () => {
    await line.type('input', 'cut 12');
    press('Enter', field());
    expect([asked.length, emptyEnters]).toEqual([1, 0]);
    press('Enter', field());
    expect([asked.length, emptyEnters]).toEqual([1, 1]);
  });

  test('Escape empties the line and then leaves it; a slash in it means nothing', async () => {
    field().focus();
    await line.type('input', '7');
    expect(press('/', field()).defaultPrevented).toBe(true);
    press('Escape', field());
    expect(field().value).toBe('');
    expect(document.activeElement).toBe(field());
    press('Escape', field());
    expect(document.activeElement).not.toBe(field());
  });

  test('what it understands is said to a screen reader', async () => {
    await line.type('input', '7d');
    expect(line.find('[aria-live]').textContent).toBe('7♦ lies at 20');
  });
});
