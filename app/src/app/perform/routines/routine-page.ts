import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { makeName, nameProblem } from '@enumeron/core/file/formats/name';
import { Caution, CAUTIONS, Routine, RoutinePack, SET_UP } from '@enumeron/core/file/perform/routine';
import { packsIn } from '@enumeron/core/file/perform/workedOut';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { RoutineRow } from '../../nouns/sets/routines.kind';
import { RoutinesStore } from '../../nouns/sets/routines.store';
import { SetsStore } from '../../nouns/sets/sets.store';
import { without } from '../../platform/without';
import { Choice } from '../../ui/choice';
import { TextField } from '../../ui/form/text-field';
import { titled } from '../../ui/titled';
import { Facts } from '../facts';
import { numberProblem } from '../number-problem';
import { RoutinePackForm } from './routine-pack';

const SET_UP_WORDS = {
  none: 'none',
  before: 'before the show',
  during: 'during it',
  borrowed: 'borrowed',
} as const;

/** The texts of a routine, as they are asked for. */
const TEXTS = [
  ['props', 'Props'],
  ['outs', 'Outs'],
  ['clearUp', 'Clear-up'],
  ['notes', 'Notes'],
] as const;

/** One routine: which procedure it is, its packs, what it takes, what is said. */
@Component({
  selector: 'en-routine-page',
  imports: [Choice, RouterLink, RoutinePackForm, TextField],
  providers: [ProceduresStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './routine-page.html',
  styleUrls: ['../../ui/page.scss', './routine-page.scss'],
})
export class RoutinePage {
  private readonly store = inject(RoutinesStore);
  private readonly sets = inject(SetsStore);
  protected readonly facts = inject(Facts);
  protected readonly procedures = inject(ProceduresStore);

  readonly id = input.required<string>();
  protected readonly row = computed(() => this.store.find(this.id()));
  protected readonly isRead = computed(() => this.store.isRead(this.id()));
  protected readonly procedure = computed(() => this.facts.procedure(this.row()?.procedure));
  protected readonly packets = computed(() => {
    const procedure = this.procedure();
    return procedure ? packsIn(procedure) : [];
  });
  protected readonly packFacts = computed(() => {
    const row = this.row();
    return row ? this.facts.of(row) : [];
  });
  /** The sets that it is in. */
  protected readonly usedIn = computed(() =>
    (this.sets.all() ?? []).filter(({ set }) => set.order.includes(this.id())),
  );

  protected readonly nameProblem = nameProblem;
  protected readonly numberProblem = numberProblem;
  protected readonly setUps = SET_UP;
  protected readonly saySetUp = (setUp: Routine['setUp']): string => SET_UP_WORDS[setUp];
  protected readonly texts = TEXTS;
  protected readonly cautions = Object.entries(CAUTIONS).map(([caution, care]) => ({
    ...{ caution: caution as Caution, care },
  }));

  constructor() {
    titled('Perform', () => this.row()?.routine.name);
  }

  private changeRow(label: string, make: (row: RoutineRow) => RoutineRow): void {
    void this.store.change(this.id(), `${label} of ${this.row()?.routine.name ?? 'a routine'}`, make);
  }

  protected change(label: string, make: (routine: Routine) => Partial<Routine>): void {
    this.changeRow(label, (row) => ({ ...row, routine: { ...row.routine, ...make(row.routine) } }));
  }

  protected rename(text: string): void {
    const name = makeName(text);
    this.change('change the name', () => ({ name }));
  }

  protected setNumber(field: 'minutes' | 'value', text: string): void {
    this.change(`change the ${field}`, () => ({ [field]: Number(text) }));
  }

  protected setText(field: (typeof TEXTS)[number][0], text: string): void {
    this.change(`change the ${field}`, () => ({ [field]: text.slice(0, 4000) }));
  }

  protected setSetUp(setUp: Routine['setUp']): void {
    this.change('change the set-up', () => ({ setUp }));
  }

  protected toggle(field: 'clean' | 'repeats'): void {
    this.change('change what it leaves', (routine) => ({ [field]: !routine[field] }));
  }

  protected toggleCaution(caution: Caution): void {
    this.change('change the care', ({ cautions }) => ({
      cautions: cautions.includes(caution)
        ? cautions.filter((each) => each !== caution)
        : [...cautions, caution],
    }));
  }

  /** Takes a procedure: its largest packet is the pack, where none was named. */
  protected setProcedure(id: string): void {
    const procedure = this.procedures.all()?.find((row) => row.id === id)?.procedure;
    const packets = procedure ? packsIn(procedure) : [];
    this.changeRow('change the procedure', (before) => {
      const row = without(before, 'procedure');
      const packs = Object.entries(row.routine.packs).map(([name, pack]): [string, RoutinePack] => {
        const { packet, ...rest } = pack;
        const [first] = packet !== undefined && packets.includes(packet) ? [packet] : packets;
        return [name, packets.length > 0 ? { ...rest, packet: first } : rest];
      });
      const made: [string, RoutinePack][] = packets.length > 0 ? [['pack', { packet: packets[0] }]] : [];
      return {
        ...row,
        ...(id !== '' && { procedure: id }),
        routine: { ...row.routine, packs: Object.fromEntries(packs.length > 0 ? packs : made) },
      };
    });
  }

  protected addPack(): void {
    this.change('add a pack', ({ packs }) => {
      let name = 'pack';
      for (let number = 2; Object.hasOwn(packs, name); number++) name = `pack ${number.toString()}`;
      const [packet] = this.packets();
      const pack: RoutinePack =
        (packet as string | undefined) === undefined
          ? { needs: { kind: 'cards' }, leaves: 'same' }
          : { packet };
      return { packs: { ...packs, [name]: pack } };
    });
  }

  protected changePack(name: string, pack: RoutinePack): void {
    this.change(`change ${name}`, ({ packs }) => ({ packs: { ...packs, [name]: pack } }));
  }

  protected renamePack(name: string, text: string): void {
    const to = makeName(text);
    this.change('rename a pack', ({ packs }) => ({
      packs: Object.fromEntries(
        Object.entries(packs).map(([each, pack]) => [each === name ? to : each, pack]),
      ),
    }));
  }

  protected readonly packNameProblem =
    (name: string) =>
    (text: string): string | undefined => {
      const to = makeName(text);
      return (
        nameProblem(text) ??
        (to !== name && Object.hasOwn(this.row()?.routine.packs ?? {}, to)
          ? 'Another pack has that name.'
          : undefined)
      );
    };

  protected removePack(name: string): void {
    this.change(`remove ${name}`, ({ packs }) => ({
      packs: Object.fromEntries(Object.entries(packs).filter(([each]) => each !== name)),
    }));
  }

  protected addWords(): void {
    this.change('add words', ({ says }) => ({ says: [...says, { to: '', words: '' }] }));
  }

  protected setWords(index: number, field: 'to' | 'words', text: string): void {
    this.change('change what is said', ({ says }) => ({
      says: says.map((each, at) =>
        at === index ? { ...each, [field]: text.slice(0, field === 'to' ? 80 : 4000) } : each,
      ),
    }));
  }

  protected removeWords(index: number): void {
    this.change('remove words', ({ says }) => ({ says: says.filter((_, at) => at !== index) }));
  }
}
