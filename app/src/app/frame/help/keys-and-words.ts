import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { WRITTEN_MOVES } from '@enumeron/core/moves';
import { SettingsStore } from '../../nouns/settings/settings.store';
import { ROOMS } from '../../rooms';
import { WORDS } from '../ask/ask';
import { FACT_WORDS } from '../ask/ask-facts';

/** Everything that can be typed into the ask line and pressed anywhere. */
@Component({
  selector: 'en-keys-and-words',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './keys-and-words.html',
  styleUrl: './help.scss',
})
export class KeysAndWords {
  protected readonly words = WORDS.filter((word) => !FACT_WORDS.some((each) => each.word === word.word));
  protected readonly factWords = FACT_WORDS;
  /** Moves that the words above do not have. */
  protected readonly moves = WRITTEN_MOVES.filter(
    ({ usage }) => !WORDS.some(({ word }) => word === usage.split(' ')[0]),
  );
  protected readonly rooms = ROOMS;
  protected readonly singleKeys = inject(SettingsStore).settings().singleKeys;
}
