import { createNodeResolver, importX } from 'eslint-plugin-import-x';

/** core/learn stands on a published memory schedule, which is as pure as core. */
export const CORE_ONLY = {
  regex: '^(?!ts-fsrs$)[^.]',
  message: 'core imports nothing but itself, and ts-fsrs.',
};

/** The folders of core, each over those before it: an import only goes to one that comes earlier. */
const LAYERS = [
  'deck',
  'job',
  'form',
  'moves',
  'formats',
  'odds',
  'procedure',
  'arrange',
  'reckon',
  'learn',
  'weave',
  'rehearse',
  'wish',
  'perform',
  'record',
];

const coreLayers = LAYERS.map((layer, index) => ({
  files: [`core/src/${layer}/**/*.ts`],
  ignores: ['**/*.spec.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          CORE_ONLY,
          ...LAYERS.slice(index + 1).map((above) => ({
            regex: `^(\\.\\./)+${above}/`,
            message: `${layer} stands below ${above}.`,
          })),
          { regex: '^(\\.\\./)+(jobs|index)$', message: 'jobs.ts and index.ts stand over all folders.' },
        ],
      },
    ],
  },
}));

const ROOMS = ['arrange', 'learn', 'reckon', 'weave', 'rehearse', 'perform', 'record', 'settings'];

/** What rooms share, each noun over those before it. */
const NOUNS = [
  ...['settings', 'orders', 'pack', 'procedures', 'weaves', 'learning'],
  ...['sets', 'performances', 'backups'],
];

/** What stands at the root of the application and joins the floors. A room knows of it what a room is. */
const ROOT = ['app.config', 'app.routes', 'boot', 'database', 'make-database', 'preload', 'rooms', 'room'];

const APP = './app/src/app';
const folders = (names) => names.map((name) => `${APP}/${name}`);
const files = (names) => names.map((name) => `${APP}/${name}.ts`);
const nouns = NOUNS.map((noun) => `nouns/${noun}`);

/** The floors of the application: an arrow goes down only. */
const FLOORS = [
  {
    target: `${APP}/platform`,
    from: [...folders([...ROOMS, 'frame', 'ui', 'nouns', 'storage']), ...files(ROOT)],
    message: 'platform/ knows nothing of Enumeron.',
  },
  {
    target: `${APP}/storage`,
    from: [...folders([...ROOMS, 'frame', 'ui', 'nouns']), ...files(ROOT)],
    message: 'storage/ knows no noun: kinds are handed in.',
  },
  {
    target: `${APP}/nouns`,
    from: [...folders([...ROOMS, 'frame', 'ui']), ...files(ROOT)],
    message: 'Nouns stand below ui/ and the rooms.',
  },
  ...nouns.slice(0, -1).map((noun, index) => ({
    target: `${APP}/${noun}`,
    // The list of all kinds, which only backups read, stands over the others.
    from: [...folders(nouns.slice(index + 1)), ...files(['nouns/kinds'])],
    message: `${noun} stands below that noun.`,
  })),
  {
    target: `${APP}/ui`,
    from: [...folders([...ROOMS, 'frame']), ...files(ROOT)],
    message: 'ui/ stands below the rooms.',
  },
  ...ROOMS.map((room) => ({
    target: `${APP}/${room}`,
    from: [
      ...folders([...ROOMS.filter((other) => other !== room), 'frame']),
      ...files(ROOT.filter((file) => file !== 'room' && !(room === 'settings' && file === 'boot'))),
    ],
    message: 'Rooms do not import each other: what two need is a noun or a part of ui/.',
  })),
  {
    target: `${APP}/frame`,
    from: [...folders(ROOMS), ...files(['app.config', 'app.routes', 'database', 'make-database', 'preload'])],
    message: 'The frame knows the rooms by their list alone.',
  },
];

/** Which way imports may go: the folders of core, and the floors of the application. */
export const floors = [
  ...coreLayers,
  {
    files: ['app/src/app/**/*.ts'],
    // Tests may reach further.
    ignores: ['**/*.spec.ts'],
    plugins: { 'import-x': importX },
    settings: { 'import-x/resolver-next': [createNodeResolver({ extensions: ['.ts'] })] },
    rules: { 'import-x/no-restricted-paths': ['error', { basePath: import.meta.dirname, zones: FLOORS }] },
  },
];
