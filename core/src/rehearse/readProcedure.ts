import { countOf } from '../deck/countOf';
import { Problem } from '../deck/problem';
import { hasInvisible, nameProblem } from '../formats/name';
import { cardNamed, laidOut } from '../procedure/laid';
import { byOf, LaidPart, MOST_ROUNDS, Procedure, Step, StepKind } from '../procedure/procedure';
import { LATER, STEPS, StepSlot } from '../procedure/steps';
import { MOST_CARDS } from '../procedure/packets';
import { givesKnown } from '../procedure/walk';
import { Known, Named, readExpression } from './readExpression';
import { isTexts } from './says';
import {
  countSteps,
  Fields,
  Found,
  found,
  isCardName,
  isFields,
  isLikely,
  isName,
  isText,
  isTooLarge,
  isWhole,
  missing,
  MOST_STEPS,
  noCard,
} from './writtenParts';

/** What a file says it is. */
export const FORMAT = 'enumeron procedure';
/** The versions of the language that are read. */
export const VERSIONS: readonly unknown[] = [1, 2];

/** Reads one file: goes through it once, and notes what is wrong with the step at which it is. */
class Reading implements Known {
  readonly problems: Problem[] = [];
  givens: Readonly<Record<string, number>> = {};
  orders: ReadonlySet<string> = new Set();
  version: 1 | 2 = 1;
  /** Every name that a step has given so far, and those that were given on every way to the step that is read. */
  readonly names = new Map<string, Named>();
  scope: ReadonlySet<string> = new Set();
  /** What the step that is read may use: everything, or what its performer knows. */
  restricted = false;
  /** Whether the step that is read clears up behind an out, where nobody chooses and nothing is judged. */
  private clearsUp = false;

  note(where: string, problem: Found): void {
    this.problems.push({ ...problem, where });
  }

  file(value: Fields): void {
    const { format, version, name } = value;
    if (format !== undefined && format !== FORMAT)
      this.note('File', found('This is no procedure of Enumeron.', 'Choose another file.'));
    if (version !== undefined && !VERSIONS.includes(version))
      this.note('File', found('This version is not known here.', `Use version ${VERSIONS.join(' or ')}.`));
    this.version = version === 2 ? 2 : 1;
    this.readName(name);
    for (const field of ['needs', 'set-up', 'reset', 'note'])
      if (value[field] !== undefined && typeof value[field] !== 'string')
        this.note('File', missing(field, 'Write it as a text.'));
    this.readGivens(value['givens']);
    this.readPackets(value['packets']);
    this.readOrders(value['orders']);
    const count = countSteps(value['steps']);
    if (count > MOST_STEPS)
      this.note(
        'File',
        found(`It has ${countOf(count, 'step')}, and at most ${MOST_STEPS} are read.`, 'Take some out.'),
      );
    else if (Array.isArray(value['steps'])) this.steps(value['steps'], '');
    else this.note('File', missing('steps', 'Write a list of steps.'));
  }

  /** One that is begun has no name yet; else it is a name as every other. */
  private readName(name: unknown): void {
    if (typeof name !== 'string') this.note('File', missing('name', 'Give it a name.'));
    else if (hasInvisible(name))
      this.note('File', found('The name holds characters that cannot be seen.', 'Write another name.'));
    else if (name.trim() !== '' && nameProblem(name) !== undefined)
      this.note('File', found(nameProblem(name) ?? '', 'Write another name.'));
  }

  private readGivens(value: unknown): void {
    if (value === undefined) return;
    if (!isFields(value) || !Object.entries(value).every(([name, each]) => isName(name) && isWhole(each)))
      this.note('File', missing('givens', 'Give each a name and a whole number.'));
    else this.givens = value as Readonly<Record<string, number>>;
  }

  private readPackets(value: unknown): void {
    if (value === undefined) return;
    if (!isFields(value)) {
      this.note('File', missing('packets', 'Name each packet and list its cards.'));
      return;
    }
    let cards = 0;
    for (const [name, row] of Object.entries(value)) {
      const problem =
        isName(name) && Array.isArray(row) ? this.readRow(row) : missing(name, 'List its cards.');
      if (problem) this.note(`Packet ${name}`, problem);
      else cards += laidOut(row as LaidPart[], this.givens)?.length ?? 0;
      if (cards <= MOST_CARDS) continue;
      this.note(`Packet ${name}`, found(`There are more than ${MOST_CARDS} cards.`, 'Take some out.'));
      return;
    }
  }

  private readRow(row: readonly unknown[]): Found | undefined {
    for (const each of row) {
      if (typeof each === 'string' && cardNamed(each) !== undefined) continue;
      if (!isFields(each)) return found(noCard(each), 'Write cards like 7D, TC, X1 or -.');
      const count = 'first' in each ? each['first'] : each['indifferent'];
      this.scope = new Set();
      this.restricted = false;
      const wrong = readExpression(count, 'number', this);
      if (wrong.problem) return wrong.problem;
      if ('first' in each && !(Array.isArray(each['of']) && each['of'].every(isCardName)))
        return found('What it takes the first cards of is no list of cards.', 'List the cards.');
    }
    return laidOut(row as LaidPart[], this.givens)
      ? undefined
      : found('It cannot be laid out: fewer cards than none, or more than there are.', 'Change a given.');
  }

  private readOrders(value: unknown): void {
    if (value === undefined) return;
    if (!isFields(value)) {
      this.note('File', missing('orders', 'Name each order and list its cards.'));
      return;
    }
    for (const [name, order] of Object.entries(value))
      if (!isName(name) || !Array.isArray(order) || order.length > MOST_CARDS || !order.every(isCardName))
        this.note(`Order ${name}`, found('This is no list of cards.', 'Write cards like 7D, TC, X1 or -.'));
    this.orders = new Set(Object.keys(value));
  }

  private steps(steps: readonly unknown[], above: string): void {
    steps.forEach((step, index) => this.step(step, `${above}${index + 1}`));
  }

  private step(value: unknown, path: string): void {
    const note = (problem: Found): void => this.note(`Step ${path}`, problem);
    if (!isFields(value) || typeof value['do'] !== 'string' || !Object.hasOwn(STEPS, value['do'])) {
      note(found('This is no step.', 'Write what is done: choose, lift, see, claim …'));
      return;
    }
    const step = this.meantBy(value) as unknown as Step;
    // What is wrong in it is told once: its name is given all the same.
    const fields = step as unknown as Fields;
    const problems = [this.place(step, fields), this.parts(step, fields), this.given(step, fields)];
    const problem = problems.find((each) => each !== undefined);
    if (problem) note(problem);
    this.inside(step, path);
  }

  /** A step without what its version does not know. */
  private meantBy(value: Fields): Fields {
    const later = LATER[value['do'] as StepKind] ?? [];
    return this.version === 2
      ? value
      : Object.fromEntries(Object.entries(value).filter(([field]) => !later.includes(field)));
  }

  /** Whether a step may stand where it stands, and be done as it is done. */
  private place(step: Step, value: Fields): Found | undefined {
    if (this.clearsUp && NOT_CLEARING_UP.has(step.do))
      return found(
        'Here you clear up behind an out: nobody chooses or shuffles, and nothing is judged.',
        'Move it in front of the out, or take it away.',
      );
    if (this.version === 1) return undefined;
    const mayBeFelt = LATER[step.do]?.includes('felt') && byOf(step) === 'performer';
    if (value['felt'] === true && !mayBeFelt)
      return found(
        'Only what you cut, lift, put, take or insert yourself can be felt.',
        'Let the performer do it, or take “felt” away.',
      );
    if (step.do === 'choose' && step.uncounted && (byOf(step) !== 'performer' || step.told))
      return found(
        'Only what you choose yourself and do not tell can be uncounted.',
        'Let the performer choose it untold, or take “uncounted” away.',
      );
    return undefined;
  }

  private parts(step: Step, value: Fields): Found | undefined {
    const { by } = value;
    if (by !== undefined && by !== 'helper' && by !== 'performer' && by !== 'all')
      return missing('by', 'Name the helper, the performer or all.');
    for (const field of ['note', 'caution'])
      if (value[field] !== undefined && !isText(value[field])) return missing(field, 'Write it as a text.');
    for (const field of step.do === 'choose' ? ['says', 'too few', 'too many'] : ['says'])
      if (value[field] !== undefined && !isTexts(value[field]))
        return missing(field, 'Write a text, or one for each audience.');
    this.restricted = byOf(step) !== 'helper' && !OPEN.has(step.do);
    const { fields, more = {}, apart } = STEPS[step.do];
    for (const [field, slot] of Object.entries({ ...fields, ...more })) {
      if (value[field] === undefined && Object.hasOwn(more, field)) continue;
      // What the fingers know may be anything, the card that the eyes look for may not.
      const restricted = this.restricted;
      this.restricted &&= !(value['felt'] === true && this.version === 2 && field !== 'card');
      const problem = this.part(slot, field, value[field]);
      this.restricted = restricted;
      if (problem) return problem;
    }
    if (step.do === 'take' && (step.place === undefined) === (step.card === undefined))
      return this.version === 1
        ? missing('place', 'Write a number or what to look at.')
        : found('Which card is taken is not clear.', 'Give its place, or the card.');
    if (step.do === 'repeat' && 'times' in value === 'while' in value)
      return found('How often it is repeated is not clear.', 'Give the times, or while what holds.');
    if (apart && [value[apart[1]]].flat().includes(value[apart[0]]))
      return found('A packet would go onto itself.', 'Name another packet.');
    return undefined;
  }

  private part(slot: StepSlot, field: string, value: unknown): Found | undefined {
    switch (slot) {
      case 'packet':
      case 'name':
        return isName(value) ? undefined : missing(field, 'Write a name.');
      case 'packets':
        if (!Array.isArray(value) || value.length === 0 || !value.every(isName))
          return missing(field, 'Name one packet or more.');
        return new Set(value).size === value.length
          ? undefined
          : found('A packet is named twice.', 'Name it once.');
      case 'where':
        return value === 'on' || value === 'under' ? undefined : missing(field, 'Write on or under.');
      case 'weave':
        return value === 'in' || value === 'out' ? undefined : missing(field, 'Write in or out.');
      case 'steps':
        return Array.isArray(value) ? undefined : missing(field, 'Write a list of steps.');
      case 'options':
        return Array.isArray(value) &&
          value.length > 0 &&
          value.every((each) => isFields(each) && isText(each['words']) && Array.isArray(each['steps']))
          ? undefined
          : missing(field, 'Write one option or more, each with its words and steps.');
      case 'likely':
        return isLikely(value) ? undefined : missing(field, 'Write around what and within what, or a table.');
      case 'flag':
        return typeof value === 'boolean' ? undefined : missing(field, 'Write true or false.');
      case 'rounds':
        return isWhole(value) && value >= 1 && value <= MOST_ROUNDS
          ? undefined
          : missing(field, `Write a number from 1 to ${MOST_ROUNDS}.`);
      case 'text':
        return isText(value) ? undefined : missing(field, 'Write a text.');
      default:
        return readExpression(value, slot, this).problem;
    }
  }

  private given(step: Step, value: Fields): Found | undefined {
    if (!('name' in STEPS[step.do].fields) || !('name' in step) || !isName(step.name)) return undefined;
    const { name } = step;
    if (Object.hasOwn(this.givens, name)) return found(`“${name}” is a given.`, 'Use another name.');
    const chosen = step.do === 'choose' || step.do === 'choose one';
    const known = givesKnown(step);
    const kind = chosen ? 'number' : readExpression(value['what'], 'value', this).kind;
    const before = this.names.get(name);
    this.scope = new Set([...this.scope, name]);
    if (!before) this.names.set(name, { known, kind });
    else if (before.known !== known)
      return found(
        `Who knows “${name}” would change: ${before.known ? 'the performer does' : 'the performer does not'} so far.`,
        'Use another name.',
      );
    else if (before.kind && kind && before.kind !== kind)
      return found(`“${name}” was a ${before.kind} so far.`, 'Use another name.');
    return undefined;
  }

  /** Reads the steps inside a step; what only one of its branches gives is not given after it. */
  private inside(step: Step, path: string): void {
    const before = this.scope;
    const within = (steps: unknown, branch: number): ReadonlySet<string> => {
      this.scope = before;
      if (Array.isArray(steps)) this.steps(steps, `${path}.${branch}.`);
      return this.scope;
    };
    const join = (ends: readonly ReadonlySet<string>[]): void => {
      this.scope = new Set([...ends[0]].filter((name) => ends.every((end) => end.has(name))));
    };
    if (step.do === 'if') join([within(step.then, 1), within(step.otherwise ?? [], 2)]);
    else if (step.do === 'choose one') {
      const options = Array.isArray(step.of) ? (step.of as readonly unknown[]) : [];
      const ends = options.map((option, index) => within(isFields(option) ? option['steps'] : [], index + 1));
      if (ends.length > 0) join(ends);
    } else if (step.do === 'repeat') {
      within(step.steps, 1);
      this.scope = before;
    } else if (step.do === 'out' && step.steps) {
      const above = this.clearsUp;
      this.clearsUp = true;
      within(step.steps, 1);
      this.clearsUp = above;
      this.scope = before;
    }
  }
}

const NOT_CLEARING_UP: ReadonlySet<StepKind> = new Set([
  ...(['choose', 'choose one', 'riffle', 'overhand', 'mix'] as const),
  ...(['require', 'claim', 'claim known', 'out'] as const),
]);

/** Steps in which everything may be used: what happens, and not what somebody does with what they know. */
const OPEN: ReadonlySet<Step['do']> = new Set(['see', 'require', 'claim', 'claim known', 'out']);

/**
 * Reads a procedure from what was stored or sent: its shape, its names, and that nobody uses what they cannot know.
 * Fields that are not known are kept and mean nothing.
 *
 * @returns the procedure, or what is wrong, each with its step (`Step 7.1.2`), `Packet NAME`, `Order NAME` or `File`.
 */
export const readProcedure = (
  value: unknown,
):
  | { readonly ok: true; readonly procedure: Procedure }
  | { readonly ok: false; readonly problems: readonly Problem[] } => {
  if (!isFields(value) || isTooLarge(value))
    return {
      ok: false,
      problems: [{ ...found('This is no procedure.', 'Choose another file.'), where: 'File' }],
    };
  const reading = new Reading();
  reading.file(value);
  return reading.problems.length > 0
    ? { ok: false, problems: reading.problems }
    : { ok: true, procedure: value as unknown as Procedure };
};
