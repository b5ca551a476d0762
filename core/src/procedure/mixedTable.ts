import { Card, mateOf } from '../deck/card';
import { NONE } from './form';
import { INDIFFERENT } from './packets';
import { Mixing } from './mixing';
import { CARD, isMark, isToken, markOf, THROUGH, tokenOf } from './pools';

/**
 * The table as it is looked at, where packets may be mixed. A card of which only is wanted that it is this one is given
 * as a token, and is found out when more of it is.
 */
export class MixedTable extends Mixing {
  /** Whether tokens are given; else a card that is looked at is found out. */
  givesTokens = false;

  /** The card at a place (1 to size), or NONE where it must be found out first. */
  look(packet: number, place: number): number {
    const card = this.cardAt(packet, place);
    return isMark(card) ? this.lookInto(packet, place) : card;
  }

  /** The top card of a packet that has one, or NONE where it must be found out first. */
  lookTop(packet: number): number {
    const card = this.top(packet);
    return isMark(card) ? this.lookInto(packet, 1) : card;
  }

  private lookInto(packet: number, place: number): number {
    const card = this.end(this.cardAt(packet, place));
    if (!isMark(card)) return card;
    if (!this.givesTokens) return this.ask(packet, place);
    const token = this.isSingle(card) ? card : this.nameAt(packet, place);
    return token === undefined ? this.ask(packet, place) : tokenOf(token);
  }

  /** 1 or 0: whether two cards, of which one is a token or both are, are alike; NONE where it must be found out first. */
  areAlike(one: number, other: number): number {
    const [a, b] = [this.endOf(one), this.endOf(other)];
    if (a === b) return 1;
    const [token, card] = isMark(a) ? [a, b] : [b, a];
    if (!isMark(token)) return 0;
    return this.mayBeAlike(token, card) ? this.askToken(token) : 0;
  }

  private endOf(value: number): Card {
    return isToken(value) ? this.end(markOf(value)) : value;
  }

  /** 1 or 0: whether the card at a place (1 to size) lies face up; or NONE where it must be found out first. */
  faceUpAt(packet: number, place: number): number {
    const isUp = this.isFaceUp(packet, place) ? 1 : 0;
    if (!this.hasSides) return isUp;
    const mark = this.cardAt(packet, place);
    return this.isOfSides(mark) ? this.ask(packet, place) : isUp ^ this.sideBehind(mark);
  }

  override faceUpIn(packet: number): number {
    if (!this.hasSides) return super.faceUpIn(packet);
    let count = 0;
    for (let place = 1; place <= this.sizes[packet]; place++) {
      const isUp = this.faceUpAt(packet, place);
      if (isUp === NONE) return NONE;
      count += isUp;
    }
    return count;
  }

  override placeOf(packet: number, value: number, from = 1): number {
    if (!this.isOpen) return super.placeOf(packet, value, from);
    const card = this.endOf(value);
    const size = this.write(packet, THROUGH, 0);
    const wanted = [card];
    for (let at = from - 1; at < size; at++) {
      const there = this.end(THROUGH[at] & CARD);
      if (there === card) return at + 1;
      if (isMark(card) ? this.mayBeAlike(card, there) : isMark(there) && this.may(there, wanted))
        return isMark(card) ? this.askToken(card) : this.ask(packet, at + 1, card);
    }
    return 0;
  }

  /** The first place at which a card surely lies, or 0. */
  private certainPlaceOf(packet: number, card: Card): number {
    const size = this.write(packet, THROUGH, 0);
    return THROUGH.subarray(0, size).findIndex((each) => this.end(each & CARD) === card) + 1;
  }

  /** How many cards of a packet are one of these, or NONE where it must be found out first. */
  howMany(packet: number, these: readonly Card[]): number {
    const size = this.write(packet, THROUGH, 0);
    let count = 0;
    for (let at = 0; at < size; at++) {
      const card = this.end(THROUGH[at] & CARD);
      if (!isMark(card)) count += these.includes(card) ? 1 : 0;
      else if (this.may(card, these) && !this.isCounted(packet, card, these)) {
        if (!this.must(card, these)) return this.askWhether(packet, at + 1, these);
        count++;
      }
    }
    // Of a single card it is counted where its mark lies, or in the pool that holds that.
    for (const mark of this.allMarks)
      if (!this.isSingle(mark) && this.isCounted(packet, mark, these))
        count += this.endsIn(mark).filter((card) => these.includes(card)).length;
    return count;
  }

  /** Whether all that a pool holds lies in a packet, and of what its marks stand for all that may be one of these. */
  private isCounted(packet: number, mark: number, these: readonly Card[]): boolean {
    return (
      this.isWhole(packet, mark) &&
      this.endsIn(mark).every(
        (card) => !isMark(card) || !this.may(card, these) || this.isCounted(packet, card, these),
      )
    );
  }

  /** The first of these cards that a packet lacks; NONE where it has all, or it must be found out first. */
  firstMissing(packet: number, these: readonly Card[]): Card {
    for (const card of these) {
      if (this.certainPlaceOf(packet, card) > 0) continue;
      if (!this.isOpen) return card;
      const size = this.write(packet, THROUGH, 0);
      const at = THROUGH.subarray(0, size).findIndex((each) => {
        const there = this.end(each & CARD);
        return isMark(there) && this.may(there, [card]);
      });
      if (at < 0) return card;
      if (!this.isHeldWhole(packet, card)) return this.ask(packet, at + 1, card);
    }
    return NONE;
  }

  /**
   * The first card on the way to the face or the top, one of these where they are told.
   *
   * @param place where the way begins, behind the card that lies there; 0: at the other end.
   * @returns NONE where there is none, or it must be found out first.
   */
  firstMet(packet: number, place: number, towards: 'face' | 'top', these?: readonly Card[]): Card {
    const size = this.write(packet, THROUGH, 0);
    const step = towards === 'face' ? 1 : -1;
    const begin = place > 0 ? place - 1 + step : step > 0 ? 0 : size - 1;
    for (let at = begin; at >= 0 && at < size; at += step) {
      const card = this.end(THROUGH[at] & CARD);
      if (isMark(card)) {
        if (!these) return this.look(packet, at + 1);
        if (this.may(card, these)) return this.askWhether(packet, at + 1, these);
      } else if (!these || these.includes(card)) return card;
    }
    return NONE;
  }

  /** The place of the first card right above its mate; 0 where there is none, NONE where it must be found out first. */
  matesTogether(packet: number): number {
    const size = this.write(packet, THROUGH, 0);
    for (let at = 0; at + 1 < size; at++) {
      const [card, next] = [this.end(THROUGH[at] & CARD), this.end(THROUGH[at + 1] & CARD)];
      if (isMark(card)) return this.ask(packet, at + 1);
      if (card === INDIFFERENT) continue;
      const mate = mateOf(card);
      if (next === mate) return at + 1;
      if (isMark(next) && this.may(next, [mate])) return this.ask(packet, at + 2);
    }
    return 0;
  }

  /**
   * A card, looked for through the faces, goes onto another packet: the first from the top.
   *
   * @returns false where it is not there, or it must be found out first whether and where it is.
   */
  takeCard(from: number, value: number, onto: number): boolean {
    const card = this.endOf(value);
    const alike = this.isOpen && !isMark(card) ? this.anyPlaceOf(from, card) : 0;
    const place = alike > 0 ? alike : this.placeOf(from, value);
    if (place < 1) return false;
    if (alike > 0) {
      const shown = this.held(this.cardAt(from, place)).find((each) => (each & CARD) === card) ?? card;
      this.settle({ packet: from, place, card: shown, ways: 1 });
    }
    this.take(from, place, onto);
    return true;
  }

  /**
   * A place at which a card may be taken to have lain, where it makes no difference: the rest of its pool lies in one
   * block, all of it here. 0 where it makes one.
   */
  private anyPlaceOf(packet: number, card: Card): number {
    if (this.certainPlaceOf(packet, card) > 0) return 0;
    for (const mark of this.allMarks) {
      const all = this.held(mark);
      if (all.filter((each) => (each & CARD) === card).length !== 1) continue;
      const held = all.length;
      const size = this.write(packet, THROUGH, 0);
      const first = THROUGH.subarray(0, size).findIndex((each) => (each & CARD) === mark);
      const block = THROUGH.subarray(Math.max(0, first), first + held);
      if (first >= 0 && first + held <= size && block.every((each) => each === block[0])) return first + held;
    }
    return 0;
  }
}
