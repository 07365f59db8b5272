/** The four rooms and the doors between them: any other arrow, or a circle, fails `npm test`. */
const to = (room) => ({ path: `^${room}/` });
const forbid = (name, from, ...rooms) =>
  rooms.map((room) => ({
    name: `${name}-not-to-${room}`,
    severity: 'error',
    from: { path: `^${from}/`, pathNot: '\\.test\\.tsx?$' },
    to: to(room),
  }));

export default {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, dependencyTypesNot: ['type-only'] },
    },
    ...forbid('core', 'core', 'contract', 'server', 'web', 'demo', 'e2e'),
    ...forbid('contract', 'contract', 'server', 'web', 'demo', 'e2e'),
    ...forbid('server', 'server', 'web', 'demo', 'e2e'),
    ...forbid('web', 'web', 'server', 'demo', 'e2e'),
    {
      name: 'core-stands-alone',
      comment:
        'The model knows no framework, no Node, no library of the rest of the house; a linear-program solver is arithmetic.',
      severity: 'error',
      from: { path: '^core/', pathNot: '(\\.test\\.ts|^core/testing/.+)$' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core', 'npm-optional', 'npm-peer'],
        pathNot: '^node_modules/yalps/',
      },
    },
    {
      name: 'core-by-its-topics',
      comment:
        'The rest of the house imports a topic of core through its index; tests may use its test kitchen.',
      severity: 'error',
      from: { path: '^(contract|server|web|demo)/' },
      to: { path: '^core/', pathNot: '^core/([^/]+/index\\.ts$|own\\.ts$|testing/)' },
    },
    {
      name: 'topics-by-their-index',
      comment: 'Within core too a topic is entered by its index; a test may look inside.',
      severity: 'error',
      from: { path: '^core/([^/]+)/', pathNot: '\\.test\\.ts$|^core/testing/' },
      to: { path: '^core/[^/]+/', pathNot: '^core/($1/|[^/]+/index\\.ts$)' },
    },
    {
      name: 'contract-by-its-door',
      severity: 'error',
      from: { path: '^(server|web|demo)/' },
      to: { path: '^contract/', pathNot: '^contract/index\\.ts$' },
    },
    {
      name: 'one-room-for-the-database',
      comment: 'Only server/storage touches SQLite; the rest of the server goes through its index.',
      severity: 'error',
      from: { pathNot: '^(server/storage/|node_modules)' },
      to: { path: 'node_modules/(@libsql|libsql|better-sqlite3|drizzle-orm)/' },
    },
    {
      name: 'storage-by-its-index',
      severity: 'error',
      from: { path: '^server/', pathNot: '^server/storage/|\\.test\\.ts$' },
      to: { path: '^server/storage/', pathNot: '^server/storage/index\\.ts$' },
    },
    {
      name: 'demo-is-data',
      comment: 'The invented kitchen is data for a new file; it knows nothing of the server.',
      severity: 'error',
      from: { path: '^demo/' },
      to: { path: '^(server|web)/' },
    },
    {
      name: 'one-room-for-the-chart-library',
      severity: 'error',
      from: { pathNot: '^(web/components/chart/|node_modules)' },
      to: { path: 'node_modules/(chart\\.js|react-chartjs-2)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.mjs', '.js'] },
  },
};
