import { MOST_FAILURES } from '../procedure/way';
import { Proof } from './prove';
import { Study } from './study';
import { sayWorks } from './verdict';

/** What came of a proof: one sentence, and what belongs to it. */
export interface Said {
  readonly answer: string;
  readonly more: string;
}

const number = (value: number): string => value.toLocaleString('en');
const cases = (count: number): string => `${number(count)} ${count === 1 ? 'case' : 'cases'}`;
const endIn = (outs: number): string => `${number(outs)} ${outs === 1 ? 'ends' : 'end'} in an out`;
const sentence = (text: string): string => (text === '' ? '' : `${text}.`);

/** `always when first cut is 1` */
const when = (rule: string | undefined): string =>
  rule === undefined || rule === 'always' ? '' : `always when ${rule}`;

const leftOut = ({ leftOut: count }: Proof): string =>
  count > 0
    ? `${cases(count)} ${count === 1 ? 'is' : 'are'} left out: they were asked to choose something else.`
    : '';

/** What is said in the place of an answer where a procedure has no claim. */
export const NOTHING_CLAIMED = 'Nothing is claimed yet';

/** Says what a proof has found. */
export const sayProof = ({
  proof,
  rules,
  claimed = true,
  likely = false,
  chances,
}: Pick<Study, 'proof' | 'rules'> & Partial<Pick<Study, 'claimed' | 'likely' | 'chances'>>): Said => {
  const { cases: all, held, outs, failed, complete } = proof;
  const outRule =
    outs > 0 && rules.outs !== undefined && rules.outs !== 'always' ? `Out when ${rules.outs}` : '';
  const more = [failed === 0 && outs > 0 ? 'No case fails.' : '', sentence(outRule), leftOut(proof)]
    .filter((part) => part !== '')
    .join(' ');
  if (!complete)
    return {
      answer:
        failed > 0
          ? `It fails in ${number(failed)} of the first ${cases(all)}`
          : claimed
            ? `It works in the first ${cases(held)}`
            : NOTHING_CLAIMED,
      more: `There are more cases than were tried. ${more}`.trim(),
    };
  if (all === 0) return { answer: 'No case is left', more: leftOut(proof) };
  if (likely && chances && claimed && held < all) {
    const rule = when(rules.failed);
    const fails =
      failed > 0 ? `${cases(failed)} ${failed === 1 ? 'fails' : 'fail'}${rule && `, ${rule}`}.` : '';
    const ends = failed > 0 && outs > 0 ? sentence(endIn(outs)) : '';
    return { answer: sayWorks(held, all, chances), more: [fails, ends, more].filter(Boolean).join(' ') };
  }
  if (failed > 0) {
    const rule = when(rules.failed);
    const of = failed === all ? `all ${cases(all)}` : `${number(failed)} of ${cases(all)}`;
    return {
      answer: `It fails in ${all === 1 ? 'the one case there is' : of}${rule === '' ? '' : `: ${rule}`}`,
      more: [outs > 0 ? `${cases(outs)} ${outs === 1 ? 'ends' : 'end'} in an out.` : '', more]
        .filter((part) => part !== '')
        .join(' '),
    };
  }
  if (outs === all) return { answer: `Every case ends in an out: ${cases(all)}`, more: leftOut(proof) };
  if (!claimed)
    return {
      answer: NOTHING_CLAIMED,
      more: `${all === 1 ? 'The one case there is comes' : `All ${cases(all)} come`} to an end. Add what must be so. ${more}`.trim(),
    };
  if (outs > 0) return { answer: `It works in ${number(held)} of ${cases(all)}; ${endIn(outs)}`, more };
  return { answer: all === 1 ? 'It works in the one case there is' : `It works in all ${cases(all)}`, more };
};

/** How it is said that a step fails. */
const FAILS = {
  claim: 'It is not so',
  'cannot be done': 'It cannot be done',
  'not known': 'You cannot know it',
} as const;

/** By the path of each step that fails: when, by the plain rule or by the smallest case. */
export const failuresAt = ({ proof, rules }: Pick<Study, 'proof' | 'rules'>): ReadonlyMap<string, string> => {
  const found = new Map<string, string>();
  const alone =
    proof.failures.length < MOST_FAILURES && new Set(proof.failures.map(({ at }) => at)).size === 1;
  for (const { at, why, choices } of proof.failures) {
    if (found.has(at)) continue;
    const such = choices.map(([name, value]) => `${name} is ${value}`).join(' and ');
    const rule =
      alone && rules.failed !== undefined && rules.failed !== 'always' ? `when ${rules.failed}` : undefined;
    const so = proof.failed === proof.cases ? '' : (rule ?? (such && `in some cases, such as ${such}`));
    found.set(at, sentence(`${FAILS[why]} ${so}`.trim()));
  }
  return found;
};

export { sayShare } from '../odds/sayShare';
