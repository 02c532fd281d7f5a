// The imports run one way (docs/architecture.md): between the folders of src, and between the folders of core.
// A part may import itself and the parts named with it; all else is a fault.
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

const GROUND = ['words', 'time', 'quantity', 'stats'];
const SEASON = [...GROUND, 'trial', 'weather', 'materials'];

/** The same within core, from the ground up. `core/result.ts` is everybody's. */
const CORE_MAY_IMPORT = {
  words: [],
  time: [],
  quantity: ['words'],
  stats: [],
  trial: GROUND,
  weather: [...GROUND, 'trial'],
  image: [...GROUND, 'trial'],
  materials: [...GROUND, 'trial'],
  measure: SEASON,
  schedule: SEASON,
  blinding: [...SEASON, 'schedule'],
  design: [...SEASON, 'measure', 'schedule', 'blinding'],
  judge: [...SEASON, 'measure', 'schedule', 'blinding', 'design'],
  print: [...SEASON, 'measure', 'schedule', 'design', 'blinding'],
};

const IS_NO_TEST = '(\\.test|-fixture)\\.tsx?$';

function importsOnly(folder, table) {
  return Object.entries(table).map(([part, others]) => ({
    name: `${folder}${part}-imports-only-${['itself', ...others].join('-')}`,
    severity: 'error',
    from: { path: `^src/${folder}${part}/`, pathNot: IS_NO_TEST },
    to: {
      path: `^src/${folder}[^/]+/`,
      pathNot: `^src/${folder}(${[part, ...others].join('|')})/`,
    },
  }));
}

module.exports = {
  forbidden: [
    ...importsOnly('', MAY_IMPORT),
    ...importsOnly('core/', CORE_MAY_IMPORT),
    {
      name: 'every-folder-of-core-has-a-rule',
      severity: 'error',
      from: { path: '^src/core/', pathNot: IS_NO_TEST },
      to: {
        path: '^src/core/[^/]+/',
        pathNot: `^src/core/(${Object.keys(CORE_MAY_IMPORT).join('|')})/`,
      },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      comment:
        'Core runs in a worker, on the server and in the command line: no interface, no database, no Node.',
      from: { path: '^src/core/', pathNot: IS_NO_TEST },
      to: {
        path: '^(react|next|knex|better-sqlite3|styled-components|fs|path|crypto|node:)',
        dependencyTypesNot: ['local'],
      },
    },
    {
      name: 'core-knows-no-node',
      severity: 'error',
      from: { path: '^src/core/', pathNot: IS_NO_TEST },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-packages-are-named',
      severity: 'error',
      from: { path: '^src/core/', pathNot: IS_NO_TEST },
      to: {
        path: 'node_modules',
        pathNot: 'node_modules/(zod|fflate|pure-rand|@stdlib|ml-matrix|ml-levenberg-marquardt)',
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
