import { TestBed } from '@angular/core/testing';
import { Journal } from '../app/storage/journal';
import { Step } from '../app/storage/stored-actions';

const labelOf = (step: Step): string | undefined => ('label' in step ? step.label : undefined);

/** What undo took back, or undefined when there was nothing. */
export const undone = async (): Promise<string | undefined> =>
  labelOf(await TestBed.inject(Journal).undo('table'));

/** What redo did again, or undefined when there was nothing. */
export const redone = async (): Promise<string | undefined> =>
  labelOf(await TestBed.inject(Journal).redo('table'));
