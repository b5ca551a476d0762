import { WishName, WishOf } from './wish';
import { WishKind } from './kind';
import { AFTER } from './kinds/after';
import { AT_CUTS } from './kinds/atCuts';
import { BALANCED } from './kinds/balanced';
import { BEFORE } from './kinds/before';
import { BLOCKS } from './kinds/blocks';
import { BY_RULE } from './kinds/byRule';
import { CARD_MADE_OF_TWO } from './kinds/cardMadeOfTwo';
import { CARDS_AMONG } from './kinds/cardsAmong';
import { CARDS_AT } from './kinds/cardsAt';
import { COLOURS_ALTERNATE } from './kinds/coloursAlternate';
import { HAND_DEALT } from './kinds/hand';
import { LOOKS_SHUFFLED } from './kinds/looksShuffled';
import { MATES_APART } from './kinds/matesApart';
import { MIRRORED } from './kinds/mirrored';
import { NEAR } from './kinds/near';
import { NEIGHBOURS } from './kinds/neighbours';
import { PACKETS } from './kinds/packets';
import { PROCEDURE_HOLDS } from './kinds/procedure';
import { RANKS_ADD_UP } from './kinds/ranksAddUp';
import { RANKS_STEP } from './kinds/ranksStep';
import { RUNS } from './kinds/runs';
import { SIDE_BY_SIDE } from './kinds/sideBySide';
import { SOME_OF } from './kinds/someOf';
import { SPACED } from './kinds/spaced';
import { SPELLS } from './kinds/spells';
import { SUITS_ROTATE } from './kinds/suitsRotate';
import { TELLS } from './kinds/tells';

/** Every kind of wish. A new one is its file, a member of `WishFields` and a row here. */
export const WISHES: { readonly [Kind in WishName]: WishKind<Kind> } = {
  'cards at': CARDS_AT,
  'cards among': CARDS_AMONG,
  'side by side': SIDE_BY_SIDE,
  before: BEFORE,
  spaced: SPACED,
  'mates apart': MATES_APART,
  mirrored: MIRRORED,
  neighbours: NEIGHBOURS,
  runs: RUNS,
  'colours alternate': COLOURS_ALTERNATE,
  'suits rotate': SUITS_ROTATE,
  'ranks step': RANKS_STEP,
  'ranks add up': RANKS_ADD_UP,
  'card made of two': CARD_MADE_OF_TWO,
  blocks: BLOCKS,
  packets: PACKETS,
  hand: HAND_DEALT,
  spells: SPELLS,
  balanced: BALANCED,
  tells: TELLS,
  'looks shuffled': LOOKS_SHUFFLED,
  'by rule': BY_RULE,
  near: NEAR,
  procedure: PROCEDURE_HOLDS,
  'at cuts': AT_CUTS,
  after: AFTER,
  'some of': SOME_OF,
};

/** What is known of a wish’s kind. */
export const kindOfWish = <Kind extends WishName>(wish: WishOf<Kind>): WishKind<Kind> => WISHES[wish.kind];
