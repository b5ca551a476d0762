import { suitOf } from '../deck/card';
import { showCard } from '../deck/notation';
import { Order } from '../deck/order';

/** Clubs, diamonds, hearts and spades as the strip tints them on paper; the last is for jokers. */
const TINTS = ['#7d858e', '#dd8874', '#c0281f', '#18202b', '#d3d8d0'];

const escapeXml = (text: string): string =>
  text.replace(/[&<>"']/g, (character) => `&#${character.codePointAt(0) ?? 0};`);

/** An order's strip as a picture of its own: one bar a card, with the name as its title. */
export const makeStripSvg = (name: string, order: Order): string => {
  const bars = order.map(
    (card, index) =>
      `<rect x="${index * 8}" width="7" height="40" fill="${TINTS[suitOf(card) ?? 4]}"><title>${index + 1} ${showCard(card)}</title></rect>`,
  );
  const size = `width="${Math.max(0, order.length * 8 - 1)}" height="40"`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size} role="img"><title>${escapeXml(name)}</title>${bars.join('')}</svg>\n`;
};
