import { pageRoutes, Place } from '../room';

/** No room of the seven: it has no key, and nothing is told in it. */
export const SETTINGS: Place = {
  name: 'Settings and data',
  path: 'settings',
  opens: [{ format: 'enumeron-backup', page: '' }],
  pages: [
    {
      path: '',
      name: 'Settings and data',
      words: 'settings',
      also: [
        'backup',
        'backups',
        'back up',
        'export',
        'import',
        'restore',
        'save',
        'data',
        'theme',
        'dark',
        'dark mode',
        'light mode',
        'preferences',
        'options',
        'erase',
        'delete everything',
        'install',
        'offline',
        'update',
        'version',
      ],
    },
  ],
  load: () =>
    import('./settings-room').then(({ SettingsRoom }) =>
      pageRoutes(SETTINGS, { '': { component: SettingsRoom } }),
    ),
};
