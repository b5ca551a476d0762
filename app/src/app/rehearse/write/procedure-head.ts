import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  untracked,
  viewChild,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { versionNeeded } from '@enumeron/core/file/procedure/version';
import { FORMAT } from '@enumeron/core/file/rehearse/readProcedure';
import { fileName, typedName } from '@enumeron/core/file/formats/name';
import { download } from '../../platform/download';
import { MissingPart } from '../../ui/missing-part';
import { Notices } from '../../platform/notices';
import { once } from '../../platform/once';
import { Scripts } from '../../platform/scripts';
import { sayProblem } from '@enumeron/core/deck';
import { SentStore } from '../../nouns/procedures/sent.store';
import { Desk } from '../desk/desk.store';
import { ProceduresStore } from '../../nouns/procedures/procedures.store';
import { SetUp } from './set-up';

/** The name of a procedure, what it needs, its set-up, and the way out of here as a file. */
@Component({
  selector: 'en-procedure-head',
  imports: [MissingPart, RouterLink, SetUp],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h2>
      <input
        #name
        class="name"
        aria-label="Name of the procedure"
        placeholder="Name of the procedure"
        autocomplete="off"
        maxlength="120"
        [value]="procedure()?.name ?? ''"
        (input)="rename(name.value)"
        (keydown.enter)="desk.wanted.set({ what: 'add' })"
        (keydown.escape)="desk.wanted.set({ what: 'add' })"
      />
    </h2>
    @if (procedure()?.needs; as needs) {
      <p class="needs">{{ needs }}</p>
    }
    @if (desk.wrongElsewhere().length > 0) {
      <ul class="wrong" role="alert">
        @for (problem of desk.wrongElsewhere(); track $index) {
          <li>
            <strong>{{ problem.where === 'File' ? 'Procedure' : problem.where }}</strong> {{ problem.what }}
            {{ problem.remedy }}
          </li>
        }
      </ul>
    }
    <div class="tools">
      @if (sent(); as sent) {
        <a class="link" [routerLink]="['/reckon', sent.path]">In Reckon</a>
      } @else {
        <button type="button" class="link" (click)="send()">Send to Reckon</button>
      }
      <button type="button" class="link" (click)="duplicate()">Duplicate</button>
      <a class="link" [routerLink]="['/rehearse', desk.id(), 'orders']">Which of my orders?</a>
      <a class="link" routerLink="/arrange/new/wishes" [queryParams]="{ procedure: desk.id() }"
        >Find an order for this</a
      >
      <a class="link" [routerLink]="['/rehearse', desk.id(), 'script']">Script to print</a>
      <button type="button" class="link" (click)="save()">Save as a file</button>
    </div>
    @defer (on immediate) {
      <en-set-up />
    } @placeholder {
      <span></span>
    } @error {
      <en-missing-part />
    }`,
  styleUrl: './procedure-head.scss',
})
export class ProcedureHead {
  protected readonly desk = inject(Desk);
  private readonly procedures = inject(ProceduresStore);
  private readonly router = inject(Router);
  private readonly sentStore = inject(SentStore);
  private readonly notices = inject(Notices);
  private readonly scripts = inject(Scripts);
  protected readonly procedure = computed(() => this.desk.procedure());
  /** Where it stands among Reckon's patterns, if it does. */
  protected readonly sent = computed(() => this.sentStore.of(this.desk.id()));
  private readonly name = viewChild.required<ElementRef<HTMLInputElement>>('name');

  constructor() {
    // One that has no name yet is written from here.
    effect(() => {
      this.desk.id();
      const field = this.name().nativeElement;
      if (untracked(this.procedure)?.name === '') field.focus();
    });
  }

  protected rename(name: string): void {
    this.desk.change('name the procedure', (procedure) => ({ ...procedure, name: typedName(name) }), 'name');
  }

  /** Another like it, to be changed while this one stays. */
  protected readonly duplicate = once('duplicate a procedure', async () => {
    const procedure = this.procedure();
    if (!procedure) return;
    const name = `${procedure.name} copy`.trim();
    const id = this.procedures.add({ ...procedure, name }, `duplicate ${procedure.name}`);
    await this.router.navigate(['/rehearse', id]);
  });

  /** Puts it among Reckon's patterns, where it can be one. */
  protected readonly send = once('send a procedure to Reckon', async () => {
    const { sentAs } = await this.scripts.load(() => import('@enumeron/core/file/rehearse/sent'));
    const procedure = this.procedure();
    if (!procedure) return;
    const { problem } = sentAs(procedure, '');
    if (problem) {
      void this.notices.show(`It cannot be sent. ${sayProblem(problem)}`);
      return;
    }
    this.sentStore.send(this.desk.id(), procedure.name);
    void this.notices.show(`${procedure.name} stands among Reckon’s patterns now, and among Learn’s sums.`);
  });

  protected save(): void {
    const procedure = this.procedure();
    if (!procedure) return;
    const file = { format: FORMAT, ...procedure, version: versionNeeded(procedure) };
    download(
      `${JSON.stringify(file, undefined, 2)}\n`,
      fileName(procedure.name || 'procedure', 'enumeron.json'),
      'application/json',
    );
  }
}
