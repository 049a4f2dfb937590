/** The house's doors: which folder may use which. See docs/architecture.md. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: `^${from}`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^(src|demo|scripts|instruments|tests)/', pathNot: allowed.map((p) => `^${p}`) },
});

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    only('core-stands-alone', 'src/core/', ['src/core/']),
    {
      name: 'core-has-no-packages',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'] },
    },
    only('contracts-on-core', 'src/contracts/', ['src/contracts/', 'src/core/']),
    only('workers-wrap-core', 'src/workers/', ['src/workers/', 'src/core/']),
    only('data-on-contracts', 'src/data/', ['src/data/', 'src/contracts/', 'src/core/']),
    only('server-on-data', 'src/server/', ['src/server/', 'src/data/', 'src/contracts/', 'src/core/']),
    only('ui-knows-no-server', 'src/ui/', ['src/ui/', 'src/contracts/', 'src/core/', 'src/workers/']),
    // Stand-ins for devices know the line and the core's model, never the application.
    only('instruments-stand-outside', 'instruments/', ['instruments/', 'src/contracts/', 'src/core/', 'src/workers/']),
    only('app-is-thin', 'src/app/', ['src/app/', 'src/ui/', 'src/server/', 'src/contracts/']),
    {
      name: 'database-only-in-data',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/data/' },
      to: { path: 'node_modules/pg/' },
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
