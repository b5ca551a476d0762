import { Injector } from '@angular/core';
import { Router } from '@angular/router';
import { RoomHelp } from '../room';

const open =
  (...path: readonly string[]) =>
  (injector: Injector): unknown =>
    injector.get(Router).navigate(['learn', ...path]);

export const LEARN_HELP: RoomHelp = {
  is: 'Learn asks for the cards and numbers of the order in your hands until each comes at once. It asks most often what you are about to forget.',
  tries: () => [
    { label: 'Practise', says: 'The questions that are worth asking now.', go: open('practise') },
    {
      label: 'A few sums',
      says: 'The arithmetic of Reckon in your head, as hard as you can just do it.',
      go: open('sums', 'practise'),
    },
    { label: 'Run the order', says: 'All cards in turn, against the clock.', go: open('run', 'practise') },
  ],
  keys: [
    ['0 to 9, A J Q K, C D H S', 'the answer'],
    ['Enter', 'begin; go on after a wrong answer'],
    ['Backspace', 'take a letter away, or the last answer back'],
    ['?', 'while you practise: your memory image'],
    ['Esc', 'end the practice'],
  ],
};
