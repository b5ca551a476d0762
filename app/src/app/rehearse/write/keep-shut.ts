import { ChangeDetectorRef } from '@angular/core';
import { MatAutocompleteTrigger } from '@angular/material/autocomplete';

/**
 * Keeps a list shut that the focus would open at this moment: both at once take longer than a frame.
 *
 * @param changes of the component in which the field stands, so that it says again that it has a list.
 */
export const keepShut = (trigger: MatAutocompleteTrigger, changes: ChangeDetectorRef): void => {
  trigger.autocompleteDisabled = true;
  setTimeout(() => {
    trigger.autocompleteDisabled = false;
    changes.markForCheck();
  });
};

/** Opens the list of a field in which one types, also when that is so fast that it was still kept shut. */
export const openNow = (trigger: MatAutocompleteTrigger): void => {
  trigger.autocompleteDisabled = false;
  queueMicrotask(() => {
    if (!trigger.panelOpen) trigger.openPanel();
  });
};
