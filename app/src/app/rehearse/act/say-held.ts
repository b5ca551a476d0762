import { showCard } from '@enumeron/core/deck';
import { INDIFFERENT } from '@enumeron/core/file/procedure/packets';
import { Held } from '@enumeron/core/file/rehearse/actOut';

/** What a name holds: a number or a card. */
export const sayHeld = ({ value, kind }: Pick<Held, 'value' | 'kind'>): string =>
  kind === 'number' ? value.toString() : value === INDIFFERENT ? 'an indifferent card' : showCard(value);
