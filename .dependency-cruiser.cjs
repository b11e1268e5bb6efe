/** The floors of core, from the ground up: each imports only those below it in this list. */
const CORE_FLOORS = [
  'engine',
  'gauges',
  'calculators',
  'visit',
  'words',
  'drawing',
  'steps/read',
  'steps/inspect',
  'steps/explain',
  'steps/decide',
  'steps/measure',
  'steps/setRight',
  'steps/handOver',
  'garage',
  'insights',
  'lab',
  'practice',
];

function coreFloors() {
  return CORE_FLOORS.slice(0, -1).map((floor, i) => ({
    name: `core-floor-${floor.replace('/', '-')}`,
    comment: 'The engine knows no language and no draft; a step knows earlier steps only.',
    severity: 'error',
    from: { path: `^packages/core/src/${floor}/`, pathNot: '\\.test\\.ts$' },
    to: { path: `^packages/core/src/(${CORE_FLOORS.slice(i + 1).join('|')})/` },
  }));
}

/** Imports run one way: apps -> demo -> simulator -> core -> contract; features do not import one another. */
module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'not-to-unresolvable',
      comment: 'pdfmake/interfaces has types only, from @types.',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^pdfmake/interfaces' },
    },
    {
      name: 'contract-imports-nothing-of-ours',
      severity: 'error',
      from: { path: '^packages/contract/' },
      to: { path: '^(packages/(core|simulator)|apps|demo|e2e)/' },
    },
    {
      name: 'core-imports-contract-only',
      severity: 'error',
      from: { path: '^packages/core/src' },
      to: { path: '^(packages/simulator|apps|demo|e2e)/' },
    },
    {
      name: 'simulator-imports-core-and-contract',
      severity: 'error',
      from: { path: '^packages/simulator/' },
      to: { path: '^(apps|demo|e2e)/' },
    },
    {
      name: 'apps-do-not-simulate',
      comment:
        'The simulator is for tests, calibration, benchmarks, the past of the demo shop, and the pages that show made-up cars as such.',
      severity: 'error',
      from: {
        path: '^apps/',
        pathNot: '^apps/(web/src/features/wearLab|server/src/features/practice)/',
      },
      to: { path: '^packages/simulator/' },
    },
    ...coreFloors(),
    {
      name: 'core-is-pure',
      comment: 'No Node: core does no input or output of its own.',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-takes-no-packages',
      comment: 'Core takes types and words from contract and nothing else.',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' },
      to: { path: '(^|/)node_modules/' },
    },
    {
      name: 'demo-knows-no-app',
      severity: 'error',
      from: { path: '^demo/' },
      to: { path: '^(apps|e2e)/' },
    },
    {
      name: 'apps-do-not-import-one-another',
      severity: 'error',
      from: { path: '^apps/([^/]+)/' },
      to: { path: '^apps/([^/]+)/', pathNot: '^apps/$1/' },
    },
    {
      name: 'features-do-not-import-one-another',
      severity: 'error',
      from: { path: '^apps/(web|server)/src/features/([^/]+)/' },
      to: {
        path: '^apps/(web|server)/src/features/([^/]+)/',
        pathNot: '^apps/$1/src/features/$2/',
      },
    },
    {
      name: 'shared-and-drawing-know-no-feature',
      severity: 'error',
      from: { path: '^apps/web/src/(shared|drawing|angles|tools|api|workers|devices)/' },
      to: { path: '^apps/web/src/(features|app)/' },
    },
    {
      name: 'e2e-sees-the-product-from-outside',
      severity: 'error',
      from: { path: '^e2e/' },
      to: { path: '^(apps|demo|packages/core)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(packages|apps)/.*/dist/' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.json'],
    },
  },
};
