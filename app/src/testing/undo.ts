import { TestBed } from '@angular/core/testing';
import { Journal } from '../app/storage/journal';
import { Line } from '../app/storage/kind';
import { Step } from '../app/storage/stored-actions';

const labelOf = (step: Step): string | undefined => ('label' in step ? step.label : undefined);

/** What undo took back on a line, or undefined when there was nothing. */
export const undone = async (line: Line = 'table'): Promise<string | undefined> =>
  labelOf(await TestBed.inject(Journal).undo(line));

/** What redo did again, or undefined when there was nothing. */
export const redone = async (line: Line = 'table'): Promise<string | undefined> =>
  labelOf(await TestBed.inject(Journal).redo(line));
