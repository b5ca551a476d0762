import { Router } from '@angular/router';
import { formatCard, showCard } from '@enumeron/core/deck';
import { PackStore } from '../nouns/pack/pack.store';
import { WantedStore } from '../nouns/pack/wanted.store';
import { RoomHelp, Try } from '../room';

/** The third card at the face, the twentieth at 15: any pack has something like them. */
const examples = (pack: PackStore) => ({
  face: pack.now()[Math.min(2, pack.size() - 1)],
  card: pack.home()[Math.min(19, pack.size() - 1)],
  number: Math.min(15, pack.size()),
});

const seeTry = (pack: PackStore): Try => {
  const { face } = examples(pack);
  return {
    label: `face ${formatCard(face)}`,
    says: `You saw the ${showCard(face)} at the face: the pack on screen is cut like yours.`,
    go: () => pack.see({ at: 'face', card: face }),
  };
};

const wantTry = (pack: PackStore): Try => {
  const { card, number } = examples(pack);
  return {
    label: `${formatCard(card)} ${number.toString()}`,
    says: `They name the ${showCard(card)} and ${number.toString()}: how to bring it there.`,
    go: (injector) => {
      void injector.get(WantedStore).want({ card, number });
      return injector.get(Router).navigate(['reckon']);
    },
  };
};

export const RECKON_HELP: RoomHelp = {
  is: 'Say what you saw and what they named, and Reckon tells you what to do. They are your helper, or whoever is asked.',
  tries: (injector) => {
    const pack = injector.get(PackStore);
    return [
      seeTry(pack),
      wantTry(pack),
      {
        label: 'Two cuts',
        says: 'They cut twice and you saw both cards: how many lie between.',
        go: () => injector.get(Router).navigate(['reckon', 'two-cuts']),
      },
    ];
  },
  greeting: (injector) => {
    const [pack, wanted] = [injector.get(PackStore), injector.get(WantedStore)];
    if (wanted.card() !== undefined && wanted.number() !== undefined) return undefined;
    return pack.seen()
      ? {
          says: 'The pack on screen is now cut like yours. Next, someone names a card and a number:',
          tries: [wantTry(pack)],
        }
      : {
          says: 'This is your pack. Say what you saw and what they named (they: your helper), and it tells you what to do. Try:',
          tries: [seeTry(pack), wantTry(pack)],
        };
  },
  keys: [
    ['d', 'do the handling that is shown'],
    ['↑ ↓', 'from one method to the next; Enter opens it'],
    ['Enter', 'in a field: on to what must still be told'],
  ],
};
