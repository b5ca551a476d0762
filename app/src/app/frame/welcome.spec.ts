import { TestBed } from '@angular/core/testing';
import { LatelyStore } from '../nouns/settings/lately.store';
import { PackStore } from '../nouns/pack/pack.store';
import { WantedStore } from '../nouns/pack/wanted.store';
import { Undoing } from '../storage/undoing';
import { Journal } from '../storage/journal';
import { freshApp, until } from '../../testing/fresh';
import { render, Rendered } from '../../testing/render';
import { Intent } from './ask/reply';
import { Welcome } from './welcome';

let line: Rendered<Welcome>;
const asked: Intent[] = [];

beforeEach(async () => {
  await freshApp();
  asked.length = 0;
  line = await render(Welcome);
  line.component.asked.subscribe((intent) => asked.push(intent));
  await until(() => TestBed.inject(LatelyStore).isRead());
  await line.fixture.whenStable();
});

test('asks for what was seen, then for what was named, and is gone for good once both are told', async () => {
  const pack = TestBed.inject(PackStore);
  expect(line.text()).toContain('face KH');
  await line.click('face KH');
  expect(asked).toEqual([{ do: 'see', at: 'face', card: pack.now()[2] }]);
  await pack.see({ at: 'face', card: pack.now()[2] });
  await line.fixture.whenStable();
  expect(line.text()).not.toContain('face');
  await line.click('7D 15');
  expect(asked[1]).toMatchObject({ do: 'want', number: 15 });
  await TestBed.inject(WantedStore).want({ card: 19, number: 15 });
  await until(() => TestBed.inject(LatelyStore).greeting() === 'used');
  await line.fixture.whenStable();
  expect(line.text()).toBe('');
  // Taking that back does not bring it again, and the note of it is no step of undo.
  await until(() => TestBed.inject(Journal).undoable()?.startsWith('want') === true);
  await TestBed.inject(Undoing).undo('table');
  await line.fixture.whenStable();
  expect(line.text()).toBe('');
});

test('can be closed', async () => {
  await line.click('Close');
  await until(() => TestBed.inject(LatelyStore).greeting() === 'used');
  await line.fixture.whenStable();
  expect(line.text()).toBe('');
  expect(TestBed.inject(Journal).undoable()).toBeUndefined();
});
