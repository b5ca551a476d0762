import { Injector } from '@angular/core';
import { Card, formatCard, parseCard, showCard } from '@enumeron/core/deck';
import { readValues, Values, writeValues } from '@enumeron/core/form';
import { describeHandling, handSum, SumLine } from '@enumeron/core/reckon';
import { PATTERNS } from '@enumeron/core/reckon/patterns';
import { describeFact } from '@enumeron/core/file/reckon/facts/fact';
import { readFact, writeFact } from '@enumeron/core/file/reckon/facts/factText';
import { FACTS, MOST_FACTS } from '../nouns/pack/facts.kind';
import { FactsStore } from '../nouns/pack/facts.store';
import { PACK } from '../nouns/pack/pack.kind';
import { PackStore } from '../nouns/pack/pack.store';
import { PATTERNS_TOLD } from '../nouns/pack/patterns.kind';
import { PatternsStore } from '../nouns/pack/patterns.store';
import { packOf, packShared } from '../nouns/pack/shared-pack';
import { WANTED, WantedRow } from '../nouns/pack/wanted.kind';
import { WantedStore } from '../nouns/pack/wanted.store';
import { pathIn, Shared, Sharing } from '../platform/sharing';
import { Journal } from '../storage/journal';
import { onlyPlace } from '../storage/kind';
import { WAYS } from './ways/ways';

/** A reckoning as it is shared: how the pack lies, and what was told at the address that is open. */

const PLACES = [onlyPlace(PACK), onlyPlace(WANTED), onlyPlace(FACTS), onlyPlace(PATTERNS_TOLD)] as const;

/** Names of the query that are of the pack, which a field of a pattern may have as well. */
const FIELD = 'told-';

const formOf = (way: string) => PATTERNS.find(({ path }) => path === way);

const sayLine = ({ role, amount, words }: SumLine): string =>
  `${role === 'result' ? '= ' : role === 'add' ? (amount < 0 ? '− ' : '+ ') : ''}${Math.abs(amount).toString()}  ${words}`;

/** The card at its number: what to do, and the sum that is done in the head. */
const answerText = (injector: Injector): string | undefined => {
  const [wanted, pack] = [injector.get(WantedStore), injector.get(PackStore)];
  const [card, number, way] = [wanted.card(), wanted.number(), wanted.chosen()];
  if (card === undefined || number === undefined || !way) return undefined;
  const lines = handSum(pack.home(), pack.now(), card, number).map(sayLine);
  return [`${showCard(card)} at ${number.toString()}: ${describeHandling(way)}`, ...lines].join('\n');
};

const ofCardAtNumber = (injector: Injector): Pick<Shared, 'what' | 'query' | 'text'> => {
  const wanted = injector.get(WantedStore);
  const [card, number] = [wanted.card(), wanted.number()];
  const what = [
    card === undefined ? 'the pack as it lies' : showCard(card),
    ...(number === undefined ? [] : [number]),
  ];
  return {
    what: what.join(' at '),
    query: [
      ...(card === undefined ? [] : [['card', formatCard(card)] as const]),
      ...(number === undefined ? [] : [['at', number.toString()] as const]),
    ],
    text: answerText(injector),
  };
};

const ofFacts = (injector: Injector): Pick<Shared, 'what' | 'query' | 'text'> => {
  const facts = injector.get(FactsStore).facts();
  return {
    what: 'what was seen',
    query: facts.map((fact) => ['fact', writeFact(fact)]),
    text: facts.map(describeFact).join('\n') || undefined,
  };
};

const ofPattern = (injector: Injector, way: string): Pick<Shared, 'what' | 'query'> => {
  const form = formOf(way);
  const told = injector.get(PatternsStore).told(way);
  return {
    what: WAYS.find(({ path }) => path === way)?.name ?? way,
    query: form ? Object.entries(writeValues(form, told)).map(([name, text]) => [FIELD + name, text]) : [],
  };
};

const toldIn = (way: string, query: URLSearchParams): Values | undefined => {
  const form = formOf(way);
  if (!form) return undefined;
  const texts = [...query].filter(([name]) => name.startsWith(FIELD));
  return readValues(form, Object.fromEntries(texts.map(([name, text]) => [name.slice(FIELD.length), text])));
};

const wholeIn = (text: string | null): number | undefined =>
  text !== null && /^\d{1,2}$/.test(text) ? Number(text) : undefined;

const isBrought = (query: URLSearchParams, packed: string | undefined): boolean =>
  packed !== undefined ||
  [...query.keys()].some(
    (name) => ['face', 'top', 'card', 'at', 'fact'].includes(name) || name.startsWith(FIELD),
  );

export const RECKON_SHARING: Sharing = {
  of: (injector, url) => {
    const way = pathIn(url, 1);
    const pack = packShared(injector);
    const told =
      way === '' ? ofCardAtNumber(injector) : way === 'seen' ? ofFacts(injector) : ofPattern(injector, way);
    return {
      ...told,
      path: way === '' ? '/reckon' : `/reckon/${way}`,
      query: [...pack.query, ...(told.query ?? [])],
      packed: pack.packed,
    };
  },
  take: (injector, { pathname, searchParams: query }, packed) => {
    if (!isBrought(query, packed)) return false;
    const pack = packOf(query, packed);
    if (!pack) return false;
    const way = pathIn(pathname, 1);
    const isIn = (card: Card | undefined): card is Card => card !== undefined && pack.now.includes(card);
    const [card, number] = [parseCard(query.get('card') ?? ''), wholeIn(query.get('at'))];
    const facts = query.getAll('fact').flatMap((text) => readFact(text) ?? []);
    const values = toldIn(way, query);
    const named: WantedRow = {
      id: 'wanted',
      ...(isIn(card) && { card }),
      ...(number !== undefined && number >= 1 && { number }),
    };
    // It shows at once; the address does not wait until it is stored.
    void injector
      .get(Journal)
      .commit('open what was shared', PLACES, ([, wanted, , told]) => [
        pack,
        way === '' ? named : wanted,
        { id: 'facts', pack: pack.now, facts: facts.slice(0, MOST_FACTS) },
        values ? { ...told, values: { ...told.values, [way]: values } } : told,
      ]);
    return true;
  },
};
