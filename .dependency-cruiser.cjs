// Imports point one way: app → features → ui, workers → core; app → server → core; cli → formats, core; demo → server,
// core. Types may cross from features to server: they vanish in the build (docs/decisions/0002).

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    {
      name: 'no-circular',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/', pathNot: '^src/core' },
    },
    {
      name: 'core-knows-no-platform',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypes: ['core', 'npm', 'npm-dev', 'npm-no-pkg', 'npm-unknown'],
        pathNot: 'node_modules/(clipper2-ts|simplify-js|temporal-polyfill|ts-fsrs)/',
      },
    },
    {
      name: 'core-rooms-by-their-door',
      severity: 'error',
      from: { path: '^src/core/([^/]+)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/([^/]+)/', pathNot: ['^src/core/$1/', '^src/core/[^/]+/index\\.ts$'] },
    },
    {
      name: 'outside-uses-the-doors-of-core',
      severity: 'error',
      from: { path: '^src/(?!core)', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/', pathNot: '^src/core/[^/]+/index\\.ts$' },
    },
    {
      name: 'only-plan-composes',
      severity: 'error',
      // practice holds a learner against whole plans: it stands on the plan, which knows nothing of it
      from: { path: '^src/core/(?!plan/|practice/)', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/plan' },
    },
    {
      name: 'formats-know-core-only',
      severity: 'error',
      from: { path: '^src/formats' },
      to: { path: '^src/', pathNot: '^src/(formats|core)' },
    },
    {
      name: 'cli-knows-formats-and-core',
      severity: 'error',
      from: { path: '^src/cli', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/', pathNot: '^src/(cli|formats|core)' },
    },
    {
      name: 'server-knows-no-screen',
      severity: 'error',
      from: { path: '^src/server', pathNot: '\\.test\\.ts$' },
      // of the simulated devices only what they say and are told
      to: { path: '^src/', pathNot: '^src/(server|formats|core|sim/protocol)' },
    },
    {
      name: 'sim-knows-core-only',
      severity: 'error',
      from: { path: '^src/sim', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/', pathNot: '^src/(sim|core)' },
    },
    {
      name: 'features-stay-off-the-server',
      severity: 'error',
      from: { path: '^src/(features|ui)' },
      to: { path: '^src/(server|app|demo|cli)', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'workers-know-core-only',
      severity: 'error',
      from: { path: '^src/workers' },
      to: { path: '^src/', pathNot: '^src/(workers|core)' },
    },
    { name: 'ui-knows-no-feature', severity: 'error', from: { path: '^src/ui' }, to: { path: '^src/(features|app)' } },
    {
      name: 'demo-knows-server-and-core',
      severity: 'error',
      from: { path: '^src/demo' },
      to: { path: '^src/', pathNot: '^src/(demo|server|core)' },
    },
    { name: 'not-to-test', severity: 'error', from: { pathNot: '\\.test\\.ts$' }, to: { path: '\\.test\\.ts$' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      mainFields: ['module', 'main', 'types'],
    },
  },
};
