/** The house's doors: which folder may use which. See docs/architecture.md. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: `^${from}`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^(src|demo|scripts|instruments|tests)/', pathNot: allowed.map((p) => `^${p}`) },
});

/** The storeys of the core: a folder may use those named with it, itself, and what stands at the core's root. No folder of a lower storey knows a higher one. */
const core = (folder, ...allowed) =>
  only(`core-${folder.replaceAll(/\W+/g, '-')}`, `src/core/${folder}/`, [
    'src/core/[^/]+\\.ts$',
    `src/core/${folder}/`,
    ...allowed.map((p) => `src/core/${p}`),
  ]);
const INPUTS = ['estimate/', 'vehicle/', 'units/', 'material/', 'thread/', 'sheet/'];
const SPRINGS = [...INPUTS, 'mechanics/', 'fastener/', 'travel/', 'prediction/', 'suspension/'];

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    only('core-stands-alone', 'src/core/', ['src/core/']),
    {
      name: 'pages-load-no-solver',
      severity: 'error',
      from: { path: '^src/(ui|contracts)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^src/core/suspension/(solvers|[^/]+/kind)\\.ts$', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'pages-load-no-schemas',
      severity: 'error',
      from: { path: '^src/ui/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^node_modules/zod/', dependencyTypesNot: ['type-only'] },
    },
    core('thread'),
    core('units', 'thread/'),
    core('material'),
    core('estimate'),
    core('vehicle', 'material/'),
    core('sheet', 'units/', 'vehicle/', 'thread/', 'estimate/', 'material/'),
    core('mechanics', 'material/'),
    core('fastener', 'estimate/', 'thread/', 'units/', 'material/', 'vehicle/side'),
    core('travel', 'sheet/', 'vehicle/', 'material/', 'suspension/kind'),
    core('driveline', 'sheet/', 'mechanics/'),
    core('bush'),
    core('steering'),
    core(
      'handbook',
      ...INPUTS,
      ...['mechanics/', 'fastener/', 'bush/', 'travel/', 'steering/', 'driveline/', 'procedure/', 'inspection/'],
    ),
    // A prediction knows kinds of suspension only by their narrow interface.
    core('prediction', 'estimate/', 'vehicle/', 'material/', 'travel/', 'suspension/kind'),
    // No kind knows another one, nor the list of them.
    core(
      'suspension/longitudinalLeaf',
      ...INPUTS,
      'mechanics/',
      'bush/',
      'fastener/',
      'prediction/',
      'procedure/',
      'suspension/kind',
    ),
    core(
      'suspension/coil',
      ...INPUTS,
      ...['mechanics/coil/', 'mechanics/swing/', 'bush/', 'fastener/', 'inspection/'],
      ...['prediction/', 'procedure/', 'suspension/kind'],
    ),
    core(
      'suspension/tandem',
      ...INPUTS,
      'mechanics/equalizer/',
      'fastener/',
      'inspection/',
      'prediction/',
      'procedure/',
      'suspension/kind',
    ),
    core(
      'suspension/transverseLeaf',
      ...INPUTS,
      ...['mechanics/leafpack/', 'mechanics/kingpin/', 'prediction/', 'procedure/', 'suspension/kind'],
    ),
    core('suspension/rubberShear', ...INPUTS, ...['mechanics/rubber/', 'prediction/', 'procedure/', 'suspension/kind']),
    core('measure', ...SPRINGS),
    core('parts', 'units/'),
    core('inspection', 'units/'),
    core('procedure', 'vehicle/', 'bush/', 'prepare/toolKinds'),
    core(
      'beside',
      'sheet/',
      'vehicle/',
      'bush/',
      'steering/',
      'driveline/',
      'fastener/',
      'material/',
      'thread/',
      'travel/hubTravel',
      'mechanics/stack/',
    ),
    core(
      'fit',
      ...INPUTS,
      ...['mechanics/', 'fastener/', 'travel/', 'driveline/', 'beside/', 'suspension/registry', 'procedure/'],
    ),
    core('height', ...SPRINGS, 'measure/'),
    core('bench', ...SPRINGS, 'measure/', 'parts/'),
    core('quick', ...SPRINGS),
    core('search', 'handbook/', 'units/'),
    core('fleet', 'estimate/', 'vehicle/', 'prediction/', 'suspension/kind'),
    core('followup', ...SPRINGS, 'procedure/', 'inspection/'),
    core('selection', ...SPRINGS, 'measure/', 'parts/', 'procedure/'),
    {
      name: 'core-has-no-packages',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'] },
    },
    only('contracts-on-core', 'src/contracts/', ['src/contracts/', 'src/core/']),
    only('workers-wrap-core', 'src/workers/', ['src/workers/', 'src/core/', 'src/contracts/partsFile']),
    only('data-on-contracts', 'src/data/', ['src/data/', 'src/contracts/', 'src/core/']),
    only('server-on-data', 'src/server/', [
      'src/server/',
      'src/data/',
      'src/contracts/',
      'src/core/',
      'src/workers/random',
    ]),
    only('ui-knows-no-server', 'src/ui/', ['src/ui/', 'src/contracts/', 'src/core/', 'src/workers/']),
    // Stand-ins for devices know the line and the core's model, never the application.
    only('instruments-stand-outside', 'instruments/', ['instruments/', 'src/contracts/', 'src/core/', 'src/workers/']),
    only('app-is-thin', 'src/app/', ['src/app/', 'src/ui/', 'src/server/', 'src/contracts/']),
    {
      name: 'database-only-in-data',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/data/' },
      to: { path: 'node_modules/pg(-boss)?/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.css'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
