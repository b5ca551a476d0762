import { Kind } from '../../storage/kind';
import { ProcedureRow, PROCEDURES } from './procedures.kind';
import { sampleOf, Samples } from '../../storage/samples';
import { Scripts } from '../../platform/scripts';
import { SampleRoom } from '../../storage/sample-room';

/** The kinds of which the sample of this room has rows. */
export const SAMPLE_KINDS: readonly Kind[] = [PROCEDURES];

/** The worked procedures of the late set at the Salt Room, in their order. */
export const makeSamples = async (scripts: Scripts): Promise<Samples> => {
  const { WORKED } = await scripts.load(() => import('@enumeron/core/file/rehearse/worked/worked'));
  return [
    sampleOf(
      PROCEDURES,
      WORKED.map(({ procedure }, index): ProcedureRow => ({
        ...{ id: `sample-${idOf(procedure.name)}`, procedure, at: index + 1 },
        sample: true,
      })),
    ),
  ];
};

/** `Two cuts` as `two-cuts`. */
const idOf = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 50);

/** Lays the sample out, unless that was done before. Where it cannot be, the room is empty, and works. */
export const layProceduresOut = (room: SampleRoom, scripts: Scripts): Promise<void> =>
  room
    .layOut('rehearse', SAMPLE_KINDS, () => makeSamples(scripts))
    .catch((error: unknown) => console.warn(error));
