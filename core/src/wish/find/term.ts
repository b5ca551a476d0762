import { Card } from '../../deck/card';
import { Rng } from '../../deck/rng';
import { Faces } from './faces';
import { Domains } from './domains';

/** An order on its way: by place its face, and by face one of its places (of several copies any). */
export interface Laying {
  readonly at: Uint8Array;
  readonly where: Uint8Array;
}

/**
 * One demand on places of the order, as the search knows it: what a wish becomes when its cuts and moves have been gone
 * through. Places are indices from 0 in the order itself.
 */
export interface Term {
  /** Alike for terms that are alike. */
  readonly key: string;
  /** The places that it looks at. */
  readonly places: readonly number[];
  /** Faces that it looks for wherever they lie; then `places` are not needed to know whether it may have changed. */
  readonly faces?: readonly number[];
  /** 0 where it holds, else more the worse it is. */
  broken(laying: Laying): number;
  /** Takes away what cannot be any more: false where nothing can. Without it only whole layings are judged. */
  narrow?(domains: Domains): boolean;
  /** One of its places at which it may be mended, where it is broken; any of them without it. */
  suspect?(laying: Laying, rng: Rng): number;
  /** Of what nothing meets: why, in a sentence. */
  readonly why?: string;
  /** How much work a look at it is, 1 being a few places. */
  readonly cost?: number;
  /** Whether only whole orders can be judged, at great cost: exchanges ask it last. */
  readonly dear?: true;
}

/** What a wish is compiled for: a pack, seen through the cuts and moves around the wish. */
export interface Site {
  /** The very cards of the pack, in any order. */
  readonly cards: readonly Card[];
  readonly faces: Faces;
  /** By index in the pack as it then lies: the index in the order itself. */
  readonly view: readonly number[];
  /** How many cards the nearest cut around it took. */
  readonly cut: number;
}
