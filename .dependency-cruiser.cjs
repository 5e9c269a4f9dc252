/** The arrows of docs/architecture.md: app → ui → core, app → db → core, workers → core. */
const only = (name, from, allowed, why) => ({
  name,
  comment: why,
  severity: 'error',
  from: { path: from },
  to: { path: '^src/', pathNot: allowed },
});

module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-circular-folders',
      comment: 'No two folders import each other, directly or through others.',
      severity: 'error',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
    {
      name: 'load-through-its-index',
      comment: 'What is inside the loader may change without anything outside noticing.',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/core/load/' },
      to: { path: '^src/core/load/', pathNot: '^src/core/load/index\\.ts$' },
    },
    only(
      'core-stands-alone',
      '^src/core/',
      '^src/core/',
      'The computation knows no interface and no database.',
    ),
    {
      name: 'core-is-pure',
      comment:
        'The core runs in the browser, in a worker, on the server and from the command line unchanged.',
      severity: 'error',
      from: { path: '^src/core/' },
      to: {
        dependencyTypesNot: ['local', 'localmodule', 'aliased', 'aliased-tsconfig', 'type-only'],
        pathNot: ['node_modules/(zod|papaparse|saxes|suncalc)/', '^src/core/'],
      },
    },
    only(
      'db-uses-core',
      '^src/db/',
      ['^src/db/', '^src/core/'],
      'All SQL is here; it may not reach the interface.',
    ),
    only(
      'standins-use-core',
      '^src/standins/',
      ['^src/standins/', '^src/core/'],
      'A simulated device stands behind the interface that a real one would implement.',
    ),
    only(
      'workers-use-core',
      '^src/workers/',
      ['^src/workers/', '^src/core/'],
      'A worker wraps core functions.',
    ),
    only(
      'ui-uses-core',
      '^src/ui/',
      ['^src/ui/', '^src/core/', '^src/workers/'],
      'The interface never sees the database.',
    ),
    {
      name: 'only-db-has-pg',
      severity: 'error',
      from: { pathNot: '^src/db/' },
      to: { path: 'node_modules/pg/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    // A test may build what it needs with any part.
    exclude: { path: '\\.test\\.ts$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
