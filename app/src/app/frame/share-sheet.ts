import { ChangeDetectionStrategy, Component, computed, inject, Injector, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialog,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogTitle,
} from '@angular/material/dialog';
import { Router } from '@angular/router';
import { create } from 'qrcode';
import { download } from '../platform/download';
import { packText } from '../platform/packed-text';
import { secureOnly } from '../platform/secure-only';
import { Shared } from '../platform/sharing';
import { roomAt } from '../rooms';

/** The longest address that is drawn as a code, in characters: a longer one is too fine for a phone to read. */
export const LONGEST_CODE = 2000;

interface Sheet {
  readonly shared: Shared;
  readonly address: string;
}

const isLoopback = (host: string): boolean => /^(?:localhost|127\.|\[::1\])/.test(host);

/** What is open, as an address: to be copied, handed on, or read off the screen by a phone. */
@Component({
  selector: 'en-share-sheet',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<h2 mat-dialog-title>Share {{ shared.what }}</h2>
    <mat-dialog-content>
      <div class="columns">
        <div>
          <label for="share-address"
            >The address opens the same thing in any browser. Nothing is sent to a server.</label
          >
          <textarea #field id="share-address" readonly rows="6" (focus)="field.select()">{{
            address
          }}</textarea>
          <p class="said" role="status">{{ said() }}</p>
          @if (isHere) {
            <p class="note">
              This Enumeron runs on this device only: no other device can open its addresses.
            </p>
          }
          @if (!canCopy) {
            <p class="note">
              At a plain http address the browser won’t copy: select the text and copy it yourself.
            </p>
          }
        </div>
        @if (code(); as code) {
          <svg
            class="code"
            role="img"
            aria-label="The address as a code for a camera"
            [attr.viewBox]="'-4 -4 ' + (code.size + 8) + ' ' + (code.size + 8)"
          >
            <rect x="-4" y="-4" [attr.width]="code.size + 8" [attr.height]="code.size + 8" fill="#fff" />
            <path [attr.d]="code.path" fill="#000" />
          </svg>
        } @else {
          <p class="note">
            This is too long for a code: {{ address.length }} characters, and {{ longest }} can be read. Hand
            on the address{{ shared.fileName ? ', or save a file and hand that on' : '' }}.
          </p>
        }
      </div>
    </mat-dialog-content>
    <mat-dialog-actions>
      @if (canHandOn) {
        <button mat-flat-button type="button" (click)="handOn()">Send …</button>
      }
      @if (canCopy) {
        <button mat-stroked-button type="button" (click)="copy(address, 'address')">Copy the address</button>
        @if (shared.text; as text) {
          <button mat-stroked-button type="button" (click)="copy(text, 'text')">Copy as text</button>
        }
      }
      @if (shared.fileName) {
        <button mat-stroked-button type="button" (click)="save()">Save a file</button>
      }
      <button mat-button mat-dialog-close>Close</button>
    </mat-dialog-actions>`,
  styles: `
    textarea {
      display: block;
      width: 100%;
      margin: 6px 0;
      padding: 8px;
      border: 1px solid var(--line);
      border-radius: 4px;
      background: none;
      color: var(--ink);
      font: 0.9rem/1.4 var(--mono);
      word-break: break-all;
      resize: none;
    }
    label,
    .note {
      color: var(--muted);
    }
    .note {
      margin: 6px 0;
    }
    .said {
      min-height: 1.4em;
      margin: 0;
    }
    .columns {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 22rem);
      gap: 8px 24px;
      color: var(--ink);
    }
    .code {
      display: block;
      width: 100%;
      border-radius: 6px;
    }
    @media (max-width: 43.749em) {
      .columns {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class ShareSheet {
  private readonly sheet = inject<Sheet>(MAT_DIALOG_DATA);
  protected readonly shared = this.sheet.shared;
  protected readonly address = this.sheet.address;
  protected readonly longest = LONGEST_CODE;
  protected readonly isHere = isLoopback(new URL(this.sheet.address).hostname);
  protected readonly canCopy = secureOnly().clipboard?.writeText !== undefined;
  protected readonly canHandOn = secureOnly().share !== undefined;
  protected readonly said = signal('');

  /** The code as the outline of its dark squares. */
  protected readonly code = computed(() => {
    if (this.address.length > LONGEST_CODE) return undefined;
    const { modules } = create(this.address, { errorCorrectionLevel: 'L' });
    const { size } = modules;
    const squares = Array.from({ length: size * size }, (_, index) => index).filter(
      (index) => modules.data[index],
    );
    const path = squares.map(
      (index) => `M${(index % size).toString()} ${Math.floor(index / size).toString()}h1v1h-1z`,
    );
    return { size, path: path.join('') };
  });

  protected async copy(text: string, what: string): Promise<void> {
    try {
      await secureOnly().clipboard?.writeText?.(text);
      this.said.set(`The ${what} is copied.`);
    } catch {
      this.said.set('The browser won’t copy it. Select the text and copy it yourself.');
    }
  }

  protected save(): void {
    const { fileName = '', packed = '' } = this.shared;
    download(packed, fileName, 'application/json');
  }

  protected async handOn(): Promise<void> {
    try {
      await secureOnly().share?.({ title: `Enumeron: ${this.shared.what}`, url: this.address });
    } catch {
      // It was closed without a choice.
    }
  }
}

/** The address of what is open; undefined where the room that is open has nothing to share. */
export const sharedAddress = async (injector: Injector): Promise<Sheet | undefined> => {
  const { url } = injector.get(Router);
  const shared = await (await roomAt(url)?.sharing?.())?.of(injector, url);
  if (!shared) return undefined;
  const { path, query = [], packed } = shared;
  const address = new URL(path, location.origin);
  for (const [name, value] of query) address.searchParams.append(name, value);
  if (packed !== undefined) address.hash = await packText(packed);
  return { shared, address: address.href };
};

/** Opens the sheet; gives false where there is nothing to share. Brings dialogs and codes with it: load it with `import()`. */
export const openShare = async (injector: Injector): Promise<boolean> => {
  const data = await sharedAddress(injector);
  if (data)
    injector.get(MatDialog).open(ShareSheet, { data, width: '52rem', maxWidth: '96vw', autoFocus: 'dialog' });
  return data !== undefined;
};
