import { Kind } from '../../procedure/form';
import { INDIFFERENT } from '../../procedure/packets';
import { byOf, Procedure, Step } from '../../procedure/procedure';
import { kindOf, kindsOf } from '../../procedure/walk';
import { Acted, Held, Scene } from '../../rehearse/actOut';
import { pathOf, stepAt } from '../../rehearse/editSteps';
import { saidTo } from '../../rehearse/says';
import { sayCard } from '../../rehearse/sayCard';
import { sayExpression, sayWho, stepSentence } from '../../rehearse/sentence';
import { titled } from '../../rehearse/watched';
import { isTold } from '../cue/amounts';

/** What the performer goes through in a dress rehearsal: something that happens, something seen, or something asked. */
export type Beat =
  | {
      readonly kind: 'happens';
      readonly path: string;
      readonly says: readonly string[];
      readonly text: string;
    }
  /** Shown for as long as one would see it. */
  | {
      readonly kind: 'seen';
      readonly path: string;
      readonly says: readonly string[];
      readonly text: string;
      readonly shows: string;
    }
  | {
      readonly kind: 'asked';
      readonly path: string;
      readonly text: string;
      readonly asks: Kind;
      readonly truth: number;
      /** The truth as it is said. */
      readonly shows: string;
    };

const SILENT: ReadonlySet<Step['do']> = new Set(['if', 'repeat', 'require', 'claim', 'out']);

const sayValue = (kind: Kind, value: number): string => (kind === 'card' ? sayCard(value) : value.toString());

const valueIn = ({ names }: Scene, name: string): Held | undefined =>
  names.find((each) => each.name === name);

/** A value that can be tapped: a card of a pack, or a number of three digits at most. */
const canAnswer = (kind: Kind, value: number): boolean =>
  kind === 'card' ? value !== INDIFFERENT : value >= 0 && value <= 999;

/** Where an option was chosen, or something is so or not, its words. */
const optionWords = (step: Step, value: number): string | undefined => {
  if (step.do === 'choose one') return step.of.at(value - 1)?.words.replace(/\.$/, '');
  const isWhether = step.do === 'see' && typeof step.what === 'object' && 'whether' in step.what;
  return isWhether ? (value === 1 ? 'yes' : 'no') : undefined;
};

const seenText = (step: Step): string =>
  step.do === 'see' ? titled(sayExpression(step.what)) : 'name' in step ? `They choose: ${step.name}` : '';

/** What is done, in words that tell no number that nobody counted aloud. */
const happensText = (step: Step): string => {
  const isHidden = 'count' in step && typeof step.count !== 'number' && byOf(step) === 'helper';
  const words = stepSentence(step)
    .map((part) => ('field' in part && part.field === 'count' && isHidden ? 'some' : part.text))
    .join('');
  return titled([sayWho(step) ?? [], words].flat().join(' ')).replace(/(?<!− )\b1 cards\b/, '1 card');
};

/**
 * A case as its performer goes through it: only what one would see, and what one must work out.
 *
 * @param procedure one that `readProcedure` found right. @param acted one of its worlds, at its end.
 * @param unseen the path of a step that nobody sees.
 */
export const beatsOf = (
  procedure: Procedure,
  { scenes }: Acted,
  audience: string,
  unseen?: string,
): readonly Beat[] => {
  const kinds = kindsOf(procedure);
  const beats: Beat[] = [];
  let says: readonly string[] = [];
  const shown = new Set<string>();
  for (const scene of scenes.slice(1)) {
    const { path } = scene;
    const step = stepAt(procedure.steps, pathOf(path));
    if (!step || path === unseen || SILENT.has(step.do)) continue;
    const said = saidTo(step.says, audience === '' ? undefined : audience);
    const own = [...says, ...(said === undefined ? [] : [said])];
    const name = 'name' in step ? step.name : '';
    const held = valueIn(scene, name);
    if (isTold(step) && held) {
      const shows = optionWords(step, held.value) ?? sayValue(held.kind, held.value);
      beats.push({ ...{ kind: 'seen', path, says: own }, ...{ text: seenText(step), shows } });
      says = [];
      continue;
    }
    if (step.do === 'work out') {
      if (byOf(step) === 'helper' || !held || !canAnswer(held.kind, held.value)) continue;
      beats.push({
        ...{ kind: 'asked', path, text: titled(name), asks: held.kind, truth: held.value },
        shows: sayValue(held.kind, held.value),
      });
      continue;
    }
    if (step.do === 'claim known') {
      const last = typeof step.what === 'string' ? valueIn(scene, step.what) : undefined;
      const kind = kindOf(step.what, kinds) ?? 'number';
      const isAsked = beats.some(
        (each) => each.kind === 'asked' && each.text === titled(sayExpression(step.what)),
      );
      if (last && !isAsked && canAnswer(kind, last.value))
        beats.push({
          ...{ kind: 'asked', path, text: titled(sayExpression(step.what)), asks: kind, truth: last.value },
          shows: sayValue(kind, last.value),
        });
      continue;
    }
    // A choice that nobody tells shows in what they do next; what they do over and over is told once.
    if (step.do === 'choose') {
      says = own;
      continue;
    }
    if (byOf(step) === 'helper' && shown.has(path)) continue;
    shown.add(path);
    const text =
      step.do === 'choose one'
        ? 'They choose, and you do not see it'
        : step.do === 'see'
          ? `They look at ${sayExpression(step.what)}`
          : happensText(step);
    beats.push({ kind: 'happens', path, says: own, text });
    says = [];
  }
  return beats;
};
