import { countOf } from '@enumeron/core/file/deck/countOf';
import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input } from '@angular/core';
import { speakCard } from '@enumeron/core/deck';
import { Packet } from '@enumeron/core/file/rehearse/actOut';
import { INDIFFERENT } from '@enumeron/core/file/procedure/packets';
import { faceOf } from '../../ui/face';
import { View } from './acting.store';
import { moveCards } from './card-motion';

/** How a card shows: its face, as it lies or as it is known; nothing that anybody knows. */
type Shows = 'up' | 'known' | 'down';

/** The packets on the table, each fanned from its top card at the left. */
@Component({
  selector: 'en-table-packets',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@for (packet of shown(); track packet.name) {
    <div class="packet" role="group" [attr.aria-label]="packet.says">
      <span class="title" aria-hidden="true">
        <strong>{{ packet.name }}</strong> {{ packet.count }}
      </span>
      <span class="fan" aria-hidden="true">
        @for (card of packet.cards; track $index) {
          <i class="{{ card.shows }} suit-{{ card.suit }}" [attr.data-card]="card.id"
            ><b [class.ten]="card.rank === '10'">{{ card.rank }}</b
            >{{ card.symbol }}</i
          >
        }
      </span>
    </div>
  }`,
  styleUrl: './table-packets.scss',
})
export class TablePackets {
  readonly packets = input.required<readonly Packet[]>();
  readonly view = input.required<View>();
  /** By packet and place: whether the performer can know which card lies there. */
  readonly knowing = input<readonly (readonly boolean[])[]>();
  readonly step = input.required<number>();

  protected readonly shown = computed(() => {
    const [view, knowing] = [this.view(), this.knowing()];
    return this.packets()
      .map(({ name, cards }, packet) => {
        const shown = cards.map(({ card, faceUp }, place) => {
          const known = view === 'all' || (view === 'you' && knowing?.at(packet)?.at(place) === true);
          const shows: Shows = faceUp ? 'up' : known ? 'known' : 'down';
          const face = card === INDIFFERENT ? { rank: '–', symbol: '', suit: 0 } : faceOf(card);
          return {
            ...(shows === 'down' ? { rank: '', symbol: '', suit: 0 } : face),
            ...{ shows, card, id: card === INDIFFERENT ? null : card },
          };
        });
        const up = cards.filter(({ faceUp }) => faceUp).length;
        const read = shown.flatMap(({ shows, card }, place) =>
          shows === 'down' || card === INDIFFERENT ? [] : [`${(place + 1).toString()} ${speakCard(card)}`],
        );
        return {
          ...{ name, count: cards.length.toString(), cards: shown },
          says: `${name}: ${countOf(cards.length, 'card')}, ${up.toString()} face up. ${read.join(', ')}`,
        };
      })
      .filter(({ cards }) => cards.length > 0);
  });

  constructor() {
    const host: HTMLElement = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    moveCards(host, () => this.step());
  }
}
