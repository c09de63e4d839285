/* Who may know whom, types included. `npm test` holds it, `npm run graph` draws it into docs/rooms.md. */

/** Within a package a room knows only the rooms before it. */
const ROOMS = {
  core: [
    ...['units', 'statistics', 'journal', 'limits', 'set-up', 'notebook', 'oil', 'machine', 'water', 'job'],
    ...['gauge-log', 'vacuum', 'instruments'],
    ...[
      'fold',
      'equipment',
      'standing',
      'cautions',
      'story',
      'diagnosis',
      'service',
      'people',
      'round',
      'store',
      'simulate',
      'testing',
    ],
  ],
  server: [
    ...['clock', 'api', 'network', 'database', 'people', 'work', 'files', 'problems', 'journal', 'house'],
    ...[
      'door',
      'photos',
      'gauge-logs',
      'instruments',
      'round',
      'pumps',
      'equipment',
      'effect',
      'entries',
      'set-up',
      'changes',
      'diagnosis',
      'entry-log',
      'store',
    ],
    ...['backup', 'downloads', 'repair', 'demo-yard', 'about', 'clock-hand', 'testing'],
  ],
  web: [
    ...['held', 'api', 'device', 'ui', 'words', 'sending', 'forms', 'effect', 'entry', 'downloads'],
    ...[
      'take-over',
      'set-up',
      'run',
      'sump-work',
      'service',
      'journal',
      'oil',
      'store',
      'water',
      'instruments',
      'diagnosis',
      'vacuum',
    ],
    ...[
      'round',
      'equipment',
      'pumps',
      'labels',
      'backup',
      'people',
      'phone',
      'entry-log',
      'notebook',
      'app',
      'testing',
    ],
  ],
};
/** Packages, and those that each may know besides itself. */
const PACKAGES = {
  core: [],
  contracts: ['core'],
  server: ['contracts', 'core'],
  web: ['contracts', 'core'],
  demo: ['contracts', 'core'],
};
/** The packages that core computes with: dates and zones. */
const CORE_PACKAGES = ['date-fns', '@date-fns/tz'];

const oneWay = Object.entries(PACKAGES).map(([name, known]) => ({
  name: `${name}-knows`,
  comment: `${name} knows ${known.join(' and ') || 'nothing of ours'}; another package is entered by its name only.`,
  severity: 'error',
  from: { path: `^${name}/src/` },
  to: {
    path: '^(core|contracts|server|web|demo)/src/',
    pathNot: [
      `^${name}/src/`,
      ...known.map((k) => `^${k}/src/(index|testing/small-yard|testing/long-yard|testing/poured-oil)\\.ts$`),
    ],
  },
}));

const upwards = Object.entries(ROOMS).flatMap(([name, rooms]) =>
  rooms.map((room, i) => ({
    name: `${name}-${room}-upwards`,
    comment: `In ${name} the room ${room} knows ${rooms.slice(0, i).join(', ') || 'no other room'}.`,
    severity: 'error',
    // What serves a whole house to tests stands on all of it.
    from: { path: `^${name}/src/${room}/`, pathNot: '^server/src/testing/' },
    to: { path: `^${name}/src/`, pathNot: [room, ...rooms.slice(0, i)].map((r) => `^${name}/src/${r}/`) },
  })),
);

module.exports = {
  forbidden: [
    { name: 'no-circle', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-orphan', severity: 'error', from: { orphan: true, pathNot: ['/main\\.tsx?$'] }, to: {} },
    ...oneWay,
    ...upwards,
    {
      name: 'core-through-doors',
      comment: 'A room of core is entered through its index.ts.',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/', pathNot: '^core/src/testing/' },
      to: { path: '^core/src/[^/]+/', pathNot: ['^core/src/$1/', '^core/src/[^/]+/index\\.ts$'] },
    },
    {
      name: 'room-has-a-place',
      comment: 'A new room gets its place in the order above.',
      severity: 'error',
      from: {
        path: Object.keys(ROOMS).map((p) => `^${p}/src/[^/]+/`),
        pathNot: Object.entries(ROOMS).map(([p, rooms]) => `^${p}/src/(${rooms.join('|')})/`),
      },
      to: {},
    },
    {
      name: 'core-is-pure',
      comment: 'core knows no interface, no database and no machine.',
      severity: 'error',
      from: { path: '^core/src/' },
      to: {
        dependencyTypes: ['core', 'npm', 'npm-dev', 'npm-no-pkg', 'npm-unknown', 'unknown', 'undetermined'],
        pathNot: CORE_PACKAGES.map((p) => `node_modules/${p}/`),
      },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: ['\\.test\\.tsx?$', '/dist/'] },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      conditionNames: ['winter-jar-source', 'import', 'types', 'default'],
      exportsFields: ['exports'],
    },
  },
};
