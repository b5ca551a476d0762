import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  viewChild,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { describeMove } from '@enumeron/core/file/moves/move';
import { countOfCards } from '@enumeron/core/file/moves/wording';
import { Fact } from '@enumeron/core/reckon/facts';
import { filter, map } from 'rxjs';
import { Boot } from '../boot';
import { Undoing } from '../storage/undoing';
import { MOST_FACTS } from '../nouns/pack/facts.kind';
import { FactsStore } from '../nouns/pack/facts.store';
import { PackStore } from '../nouns/pack/pack.store';
import { PatternsStore } from '../nouns/pack/patterns.store';
import { RailPreview } from '../nouns/pack/rail-preview';
import { WantedStore } from '../nouns/pack/wanted.store';
import { Notices } from '../platform/notices';
import { Scripts } from '../platform/scripts';
import { Intent } from './ask/reply';
import { AskLine } from './ask/ask-line';
import { LackingSign } from './lacking-sign';
import { Rail } from './rail/rail';
import { addressOf, FIRST_ROOM, lineAt, roomAt, ROOMS } from '../rooms';
import { QuietSigns } from './quiet-signs';
import { Signs } from './signs';
import { ShortcutKeys } from './shortcuts';
import { Theme } from './theme';
import { Tools } from './tools';
import { Welcome } from './welcome';
import { WholeScreen } from '../platform/whole-screen';
import { MissingPart } from '../ui/missing-part';

/** The frame about every room: ask line, rail, rooms, undo and redo. */
@Component({
  selector: 'en-root',
  imports: [
    MissingPart,
    AskLine,
    LackingSign,
    QuietSigns,
    Rail,
    Tools,
    RouterLink,
    RouterLinkActive,
    RouterOutlet,
    Signs,
    Welcome,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '[class.whole]': 'whole()' },
  templateUrl: './shell.html',
  styleUrl: './shell.scss',
})
export class Shell {
  private readonly host: HTMLElement = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly router = inject(Router);
  private readonly scripts = inject(Scripts);
  private readonly injector = inject(Injector);
  private readonly notices = inject(Notices);
  private readonly wanted = inject(WantedStore);
  private readonly facts = inject(FactsStore);
  private readonly patterns = inject(PatternsStore);
  private readonly undoing = inject(Undoing);
  protected readonly pack = inject(PackStore);
  protected readonly preview = inject(RailPreview).preview;
  protected readonly rooms = ROOMS;
  protected readonly whole = inject(WholeScreen).isTaken;
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map(({ urlAfterRedirects }) => urlAfterRedirects),
    ),
    { initialValue: this.router.url },
  );
  protected readonly firstVisit = inject(Boot).firstVisit;
  protected readonly first = FIRST_ROOM;
  /** The room whose first page is open: there a newcomer is greeted. */
  protected readonly greets = computed(() =>
    ROOMS.find(({ path }) => this.url().split(/[?#]/)[0] === `/${path}`),
  );
  private readonly askLine = viewChild<AskLine>('askLine');
  private readonly room = viewChild.required<ElementRef<HTMLElement>>('room');

  protected readonly status = computed(() => {
    const offset = this.pack.offset();
    const turned = offset === undefined ? 'out of step' : offset === 0 ? 'in order' : `cut at ${offset}`;
    return { size: countOfCards(this.pack.size()), turned };
  });

  constructor() {
    // It is wanted once something is taken away; where it does not come, the focus falls to the page as everywhere.
    afterNextRender(() => {
      import('./focus-keeper')
        .then(({ FocusKeeper }) => this.injector.get(FocusKeeper))
        .catch((error: unknown) => console.warn(error));
    });
    effect(() => void this.takeShared(this.url()).catch(() => undefined));
    inject(Theme);
    inject(ShortcutKeys).use({
      ...Object.fromEntries(ROOMS.map(({ key, path }) => [key, () => void this.openRoom(path)])),
      '/': () => this.openAsk(),
      '?': () => void this.help(),
      d: () => void this.carryOut(),
      x: () => void this.swap(),
      u: () => void this.undo(),
      'shift+u': () => void this.redo(),
      'mod+z': () => void this.undo(),
      'mod+shift+z': () => void this.redo(),
      'mod+y': () => void this.redo(),
    });
  }

  /** Opens a room and goes into it: the next Tab is at its first control. */
  private async openRoom(path: string): Promise<void> {
    await this.router.navigate([path]);
    this.goIntoRoom();
  }

  protected goIntoRoom(event?: Event): void {
    event?.preventDefault();
    this.room().nativeElement.focus({ preventScroll: true });
  }

  private async tell(fact: Fact): Promise<void> {
    if (this.facts.isFull()) {
      void this.notices.show(`At most ${MOST_FACTS} facts can be told of one pack. Take one back first.`);
      return;
    }
    // It shows at once; the room does not wait until it is stored.
    void this.facts.add(fact);
    await this.router.navigate(addressOf('facts'));
  }

  private async openWay({ room, way, values }: Extract<Intent, { do: 'open' }>): Promise<void> {
    if (values) void this.patterns.fill(way.path, values);
    await this.router.navigate([room.path, way.path].filter((part) => part !== ''));
  }

  private async riffled(riffles: number): Promise<void> {
    const address = addressOf('riffles');
    void this.patterns.set(address[address.length - 1], 'riffles', riffles);
    await this.router.navigate(address);
  }

  protected async swap(): Promise<void> {
    if (await this.pack.swap()) this.say(`${this.pack.pack().name} is in hand.`);
  }

  /** Shows the ask line, which a phone hides until it is wanted, and goes there. */
  protected openAsk(): void {
    this.asking(true);
    this.askLine()?.focus();
  }

  protected asking(open: boolean): void {
    this.host.classList.toggle('asking', open);
  }

  protected async asked(intent: Intent): Promise<void> {
    switch (intent.do) {
      case 'find':
        return this.want({ card: intent.card });
      case 'look':
        return this.want({ number: intent.number });
      case 'want':
        return this.want({ card: intent.card, number: intent.number });
      case 'see':
        void this.pack.see(intent);
        return;
      case 'move':
        void this.pack.do(intent.move);
        this.say(describeMove(intent.move, this.pack.size()));
        return;
      case 'tell':
        return this.tell(intent.fact);
      case 'riffled':
        return this.riffled(intent.riffles);
      case 'swap':
        return this.swap();
      case 'undo':
        return this.undo();
      case 'redo':
        return this.redo();
      case 'help':
        return this.help(intent.find);
      case 'go':
        return this.openRoom(intent.room.path);
      case 'open':
        return this.openWay(intent);
    }
  }

  protected async carryOut(): Promise<void> {
    const move = this.wanted.chosen()?.move;
    if (await this.wanted.carryOut())
      this.say(move ? `Done. ${describeMove(move, this.pack.size())}` : 'Done.');
  }

  protected undo(): Promise<void> {
    return this.undoing.undo(lineAt(this.router.url));
  }

  protected redo(): Promise<void> {
    return this.undoing.redo(lineAt(this.router.url));
  }

  /** @param find the word that is looked for; unless told, the room that is open. */
  protected async help(find?: string): Promise<void> {
    const { openHelp } = await this.scripts.load(() => import('./help/help-sheet'));
    openHelp(this.injector, { room: roomAt(this.url()), find });
  }

  protected async share(): Promise<void> {
    const { openShare } = await this.scripts.load(() => import('./share-sheet'));
    if (!(await openShare(this.injector))) void this.notices.show('Nothing here can be shared by a link.');
  }

  /** Takes what an address brings: what was shared. */
  private async takeShared(url: string): Promise<void> {
    if (!/[?#]/.test(url)) return;
    const { takeShared } = await this.scripts.load(() => import('./take-shared'));
    await takeShared(this.injector, url);
  }

  private async want(part: { card?: number; number?: number }): Promise<void> {
    // It shows at once; the room does not wait until it is stored.
    void this.wanted.want(part);
    await this.router.navigate(addressOf('wanted'));
  }

  /** Speaks to a screen reader; where what that takes does not come, what was done shows all the same. */
  private say(sentence: string): void {
    this.scripts
      .load(() => import('@angular/cdk/a11y'))
      .then(({ LiveAnnouncer }) => this.injector.get(LiveAnnouncer).announce(sentence))
      .catch((error: unknown) => console.warn(error));
  }
}
