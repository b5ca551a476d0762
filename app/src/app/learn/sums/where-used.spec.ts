import { SUM_KINDS } from '@enumeron/core/learn';
import { pageRoutes } from '../../room';
import { PLACES } from '../../rooms';
import { whereUsed } from './where-used';

test.each(SUM_KINDS.map((kind) => [kind.name, kind] as const))(
  '%s is used on a page that there is',
  (_name, kind) => {
    const where = whereUsed(kind, 'sample-tidemark');
    const [room, ...below] = where?.path.join('/').slice(1).split('/') ?? [];
    const place = PLACES.find(({ path }) => path === room);
    expect(place?.name).toBe(where?.room);
    const paths = place ? [...pageRoutes(place), ...(place.ways ?? [])].map(({ path = '' }) => path) : [];
    const fits = (path: string): boolean => {
      const parts = path.split('/');
      const wanted = below.length === 0 ? [''] : below;
      return (
        parts.length === wanted.length &&
        parts.every((part, at) => part.startsWith(':') || part === wanted[at])
      );
    };
    expect([below, paths.some(fits)]).toEqual([below, true]);
  },
);
