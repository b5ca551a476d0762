import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { showCard, speakCard } from '@enumeron/core/deck';
import { itemId, Memory, scheduleBy } from '@enumeron/core/learn';
import { freshApp, until } from '../../../testing/fresh';
import { FakeClock, press } from '../../../testing/learner';
import { render, Rendered } from '../../../testing/render';
import { Database } from '../../storage/database';
import { itemKey, ITEMS } from '../../nouns/learning/items.kind';
import { ReviewRow, REVIEWS } from '../../nouns/learning/reviews.kind';
import { RunRow, RUNS } from '../../nouns/learning/runs.kind';
import { TIDEMARK } from '../../nouns/orders/tidemark';
import { PackStore } from '../../nouns/pack/pack.store';
import { Clock } from '../../platform/clock';
import { Drill } from '../drill/drill';
import { GlimpseSource } from '../drill/glimpse-source';
import { ItemQuestion } from '../drill/item-source';
import { Practice } from '../drill/practice';
import { Source } from '../drill/source';
import { ImagesStore } from '../../nouns/learning/images.store';
import { LearnStore } from '../../nouns/learning/learn.store';
import { Run } from '../run/run';
import { Running } from '../run/running';
import { DealAlong } from './deal-along';
import { DealSource } from './deal-source';
import { Spoken } from './spoken';
import { pass } from '../../../testing/pass';

const order = TIDEMARK.cards;

let clock: FakeClock;
let db: Database;

const begin = async (source: typeof DealSource | typeof GlimpseSource): Promise<void> => {
  clock = new FakeClock();
  db = await freshApp([
    provideRouter([{ path: '**', children: [] }]),
    { provide: Clock, useValue: clock },
    ...[LearnStore, ImagesStore, Practice],
    { provide: Source, useClass: source },
  ]);
  await until(() => TestBed.inject(Source).isRead());
};

const settle = (): Promise<void> => pass(5);
const rows = async <Row>(table: string, count: number): Promise<Row[]> => {
  await until(async () => (await db.table(table).count()) >= count);
  return db.table(table).toArray() as Promise<Row[]>;
};
const reviews = async (count: number): Promise<ReviewRow[]> =>
  (await rows<ReviewRow>(REVIEWS.table, count)).sort((a, b) => a.at - b.at);

/** What the browser would say, and with which voice. */
const speechOf = (
  voices: readonly Partial<SpeechSynthesisVoice>[],
): { said: string[]; cancel: jest.Mock } => {
  const said: string[] = [];
  const cancel = jest.fn();
  Object.assign(window, {
    SpeechSynthesisUtterance: class {
      voice: SpeechSynthesisVoice | undefined;
      constructor(readonly text: string) {}
    },
    speechSynthesis: {
      getVoices: () => voices,
      addEventListener: () => undefined,
      speak: (utterance: { text: string; onend: () => void; voice: SpeechSynthesisVoice }) => {
        expect(utterance.voice.localService).toBe(true);
        said.push(utterance.text);
        setTimeout(() => utterance.onend());
      },
      cancel,
    },
  });
  return { said, cancel };
};

afterEach(() => {
  Reflect.deleteProperty(window, 'speechSynthesis');
});

describe('spoken', () => {
  beforeEach(() => begin(DealSource));

  test('a voice of this device asks, waits, and answers; space pauses, another tab does, nothing is noted', async () => {
    const voices = [
      { localService: false, lang: 'en-GB' },
      { localService: true, lang: 'de-DE' },
      { localService: true, lang: 'en-US' },
    ];
    const { said, cancel } = speechOf(voices);
    const page = await render(Spoken);
    press('5');
    await until(() => said.length >= 6);
    press(' ');
    const count = said.length;
    await settle();
    await settle();
    expect(said.length).toBe(count);
    expect(cancel).toHaveBeenCalled();
    // Nothing is learnt yet: the order is gone through, number by number.
    expect(said.slice(0, 4)).toEqual([
      '1. Which card lies there?',
      speakCard(order[0]),
      '2. Which card lies there?',
      speakCard(order[1]),
    ]);
    expect(clock.waited).toContain(5000);
    press(' ');
    await until(() => said.length > count);
    Object.defineProperty(document, 'visibilityState', { value: 'hidden', configurable: true });
    document.dispatchEvent(new Event('visibilitychange'));
    await settle();
    const hidden = said.length;
    await settle();
    expect(said.length).toBe(hidden);
    expect(page.text()).toContain('Go on');
    Reflect.deleteProperty(document, 'visibilityState');
    expect(await db.rows(REVIEWS).count()).toBe(0);
    page.fixture.destroy();
  });

  test('without a voice of its own the drill is large type; what is weakest comes first', async () => {
    speechOf([{ localService: false, lang: 'en-GB' }]);
    const schedule = scheduleBy();
    const memory = (days: number): Memory => {
      const at = clock.now() - days * 86_400_000;
      return schedule.next(schedule.fresh(at), 3, at);
    };
    for (const [place, days] of [
      [3, 1],
      [7, 40],
    ] as const) {
      const item = itemId({ direction: 'number', card: order[place - 1] });
      await db.rows(ITEMS).put({
        ...{ id: itemKey(TIDEMARK.id, item), order: TIDEMARK.id, item, memory: memory(days) },
        ...{ truth: place.toString(), begun: 0 },
      });
    }
    await until(() => TestBed.inject(LearnStore).memories().size === 2);
    const page = await render(Spoken);
    await until(() => page.text().includes('no voice of its own'));
    await until(() => page.find('.prompt').textContent.includes(showCard(order[6])));
    press('Escape');
    page.fixture.destroy();
  });
});

describe('deal along', () => {
  beforeEach(() => begin(DealSource));

  const asked = (): ItemQuestion => TestBed.inject(Practice).asked() as ItemQuestion;

  test('a turned pack is dealt as it lies, each card marked by one key; the marks are answers without a time', async () => {
    await TestBed.inject(PackStore).apply({ kind: 'cut', count: 10 });
    const page = await render(DealAlong);
    await until(() => page.text().includes('card 1 of 52'));
    expect(asked().item).toEqual({ direction: 'card', card: order[10] });
    for (let index = 0; index < 52; index++) {
      clock.pass(3000);
      press(index === 4 ? 'ArrowLeft' : 'ArrowRight');
      await page.fixture.whenStable();
    }
    expect(page.text()).toContain('51 of 52 right');
    const all = await reviews(52);
    expect(all.map(({ item }) => item).slice(0, 3)).toEqual([
      itemId({ direction: 'card', card: order[10] }),
      itemId({ direction: 'after', card: order[10] }),
      itemId({ direction: 'after', card: order[11] }),
    ]);
    expect(all.filter(({ right }) => !right)).toHaveLength(1);
    expect(all.every(({ interrupted, grade, right }) => interrupted && grade === (right ? 3 : 1))).toBe(true);
    page.fixture.destroy();
  });

  test('a mark is taken back; a pack that is out of step is dealt as it was learnt', async () => {
    await TestBed.inject(PackStore).apply({ kind: 'deal', count: 10 });
    const page = await render(DealAlong);
    await until(() => page.text().includes('card 1 of 52'));
    expect(asked().item.card).toBe(order[0]);
    await page.click('wrong');
    expect(asked().item).toEqual({ direction: 'after', card: order[0] });
    press('Backspace');
    await until(() => page.text().includes('taken back'));
    expect(asked().item.card).toBe(order[0]);
    expect((await reviews(1)).map(({ withdrawn }) => withdrawn)).toEqual([true]);
    press('ArrowRight');
    await page.fixture.whenStable();
    // The deal goes on where it was.
    expect(asked().item).toEqual({ direction: 'after', card: order[0] });
    page.fixture.destroy();
  });
});

describe('glimpse', () => {
  beforeEach(() => begin(GlimpseSource));

  test('a card is seen for half a second, and its number is typed', async () => {
    const page = await render(Drill);
    const practice = TestBed.inject(Practice);
    await until(() => practice.introduced() !== undefined);
    press('Enter');
    await page.fixture.whenStable();
    const { item } = practice.asked() as ItemQuestion;
    expect(item.direction).not.toBe('card');
    expect(page.find('.prompt').textContent).toContain(showCard(item.card));
    await pass(600);
    await page.fixture.whenStable();
    expect(page.find('.prompt').textContent).not.toContain(showCard(item.card));
    page.fixture.destroy();
  });
});

describe('run', () => {
  beforeEach(() => begin(DealSource));

  const run = async (query: string): Promise<Rendered<Running>> => {
    const { ActivatedRoute, convertToParamMap } = await import('@angular/router');
    const map = convertToParamMap(Object.fromEntries(new URLSearchParams(query)));
    TestBed.inject(ActivatedRoute).snapshot = { queryParamMap: map } as never;
    return render(Running);
  };
  const type = (card: number): void => {
    for (const key of [...'a23456789tjqk'[card % 13], ...'cdhs'[Math.floor(card / 13)]]) press(key);
  };
  const stored = async (): Promise<RunRow> => (await rows<RunRow>(RUNS.table, 1))[0];

  test('all cards backwards from one of them, timed with splits; a wrong one is told', async () => {
    const page = await run('way=backwards&from=3');
    await until(() => page.text().includes('0 of 52'));
    await settle();
    for (let index = 0; index < 52; index++) {
      clock.pass(1000);
      const card = order[(2 - index + 52) % 52];
      type(index === 5 ? order[20] : card);
      await page.fixture.whenStable();
      if (index === 5) expect(page.find('.prompt').textContent).toContain(`no: ${showCard(card)}`);
    }
    expect(page.text()).toContain('0:52.0');
    const { splits, wrong, way, from } = await stored();
    expect(splits).toEqual(Array.from({ length: 52 }, (_, index) => (index + 1) * 1000));
    expect([wrong, way, from]).toEqual([[50], 'backwards', 3]);
    page.fixture.destroy();
    const list = await render(Run);
    await list.click('backwards');
    await until(() => list.text().includes('0:52.0'));
  });

  test('said aloud: a key for each card, and the last one can be marked wrong, also at the end', async () => {
    const page = await run('way=forwards&from=1&said=1');
    await until(() => page.text().includes('0 of 52'));
    await settle();
    for (let index = 0; index < 52; index++) {
      clock.pass(500);
      press(' ');
      if (index === 9) press('x');
    }
    await page.fixture.whenStable();
    await page.click('The last card was wrong');
    for (let turn = 0; turn < 100 && (await stored()).wrong.length < 2; turn++) await settle();
    expect(await stored()).toMatchObject({ wrong: [10, 52], said: true });
    expect(await db.rows(RUNS).count()).toBe(1);
    page.fixture.destroy();
  });

  test('a run that was interrupted is not kept', async () => {
    const page = await run('way=forwards&from=1&said=1');
    await until(() => page.text().includes('0 of 52'));
    for (let index = 0; index < 52; index++) {
      if (index === 20) document.dispatchEvent(new Event('visibilitychange'));
      press(' ');
    }
    await page.fixture.whenStable();
    expect(page.text()).toContain('interrupted');
    await settle();
    expect(await db.rows(RUNS).count()).toBe(0);
    page.fixture.destroy();
  });
});
