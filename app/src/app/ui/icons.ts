import { inject, Injectable } from '@angular/core';
import { MatIconRegistry } from '@angular/material/icon';
import { DomSanitizer } from '@angular/platform-browser';
import {
  mdiAlertCircleOutline,
  mdiCheck,
  mdiClose,
  mdiCogOutline,
  mdiContentCopy,
  mdiDeleteOutline,
  mdiFileDocumentOutline,
  mdiHelpCircleOutline,
  mdiMagnify,
  mdiPencilOutline,
  mdiPlus,
  mdiRedo,
  mdiShareVariantOutline,
  mdiTrayArrowDown,
  mdiTrayArrowUp,
  mdiUndo,
} from '@mdi/js';

const ICONS = {
  ask: mdiMagnify,
  alert: mdiAlertCircleOutline,
  check: mdiCheck,
  close: mdiClose,
  copy: mdiContentCopy,
  delete: mdiDeleteOutline,
  edit: mdiPencilOutline,
  file: mdiFileDocumentOutline,
  help: mdiHelpCircleOutline,
  plus: mdiPlus,
  redo: mdiRedo,
  save: mdiTrayArrowDown,
  open: mdiTrayArrowUp,
  settings: mdiCogOutline,
  share: mdiShareVariantOutline,
  undo: mdiUndo,
} as const;

/**
 * Makes the icons known to `mat-icon`; they are shipped in the bundle. A component that shows one injects this, so
 * that none of it is in the first load.
 */
@Injectable({ providedIn: 'root' })
export class Icons {
  constructor() {
    const known = inject(MatIconRegistry);
    const sanitizer = inject(DomSanitizer);
    for (const [name, path] of Object.entries(ICONS))
      known.addSvgIconLiteral(
        name,
        sanitizer.bypassSecurityTrustHtml(`<svg viewBox="0 0 24 24"><path d="${path}"/></svg>`),
      );
  }
}
