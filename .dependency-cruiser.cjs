// The imports run one way (docs/architecture.md). A part may import itself and the parts named with it; all else is a fault.
const MAY_IMPORT = {
  core: [],
  store: ['core'],
  service: ['store', 'print', 'devices', 'core'],
  devices: ['core'],
  print: ['core'],
  ui: [],
  workers: ['core'],
  features: ['ui', 'core', 'devices', 'workers'],
  app: ['features', 'ui', 'service', 'core'],
  cli: ['core', 'service'],
  demo: ['core', 'service'],
};

const onlyTheNamed = Object.entries(MAY_IMPORT).map(([part, others]) => ({
  name: `${part}-imports-only-${['itself', ...others].join('-')}`,
  severity: 'error',
  from: { path: `^src/${part}/`, pathNot: '(\\.test|-fixture)\\.tsx?$' },
  to: { path: '^src/', pathNot: `^src/(${[part, ...others].join('|')})/` },
}));

module.exports = {
  forbidden: [
    ...onlyTheNamed,
    {
      name: 'core-is-pure',
      severity: 'error',
      comment:
        'Core runs in a worker, on the server and in the command line: no interface, no database, no Node.',
      from: { path: '^src/core/', pathNot: '(\\.test|-fixture)\\.ts$' },
      to: {
        path: '^(react|next|knex|better-sqlite3|styled-components|fs|path|crypto|node:)',
        dependencyTypesNot: ['local'],
      },
    },
    {
      name: 'core-knows-no-node',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '(\\.test|-fixture)\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-packages-are-named',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '(\\.test|-fixture)\\.ts$' },
      to: {
        path: 'node_modules',
        pathNot: 'node_modules/(zod|pure-rand|@stdlib|ml-matrix|ml-levenberg-marquardt)',
      },
    },
    {
      name: 'only-the-store-knows-the-database',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/store/' },
      to: { path: 'node_modules/(knex|better-sqlite3)' },
    },
    { name: 'no-circle', severity: 'error', from: {}, to: { circular: true } },
    { name: 'nothing-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
