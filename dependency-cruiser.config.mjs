/** Imports point one way: web → contract → core ← contract ← server; inside core, down the list only. */
const coreOrder = [
  'problem',
  'quantity',
  'standards',
  'analysis',
  'workings',
  'valve',
  'isolation',
  'diagnosis',
  'inspection',
  'job',
  'calls',
  'task',
  'procedure',
  'plan',
  'figures',
  'stock',
  'certificate',
  'life',
  'schedule',
  'command',
  'drill',
];

const insideCore = coreOrder.map((folder, index) => ({
  name: `core-${folder}-imports-only-from-above`,
  comment: `core/${folder} may import only the folders listed before it in docs/architecture.md`,
  severity: 'error',
  from: { path: `^core/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: {
    path: `^core/(${[...coreOrder.slice(index + 1), ...(folder === 'drill' ? [] : ['simulation'])].join('|')}|none)/`,
  },
}));

/** Inside web: what is shared knows nothing of who shows it; the frame of the application comes last. */
const webOrder = [
  ['theme', 'keys', 'workers'],
  ['api'],
  ['sync'],
  ['stores'],
  ['parts', 'charts', 'drawings'],
  ['workings', 'isolation', 'stock', 'setup', 'register', 'fleet', 'plan', 'drill'],
  ['bench'],
  ['pages'],
  ['app'],
];

const insideWeb = webOrder.map((folders, index) => ({
  name: `web-${folders[0]}-imports-only-from-above`,
  comment: `web/${folders.join(', web/')} may import only what stands before them in docs/architecture.md`,
  severity: 'error',
  from: { path: `^web/(${folders.join('|')})/`, pathNot: '\\.test\\.ts$' },
  to: {
    path: `^web/(${webOrder
      .slice(index + 1)
      .flat()
      .concat('none')
      .join('|')})/`,
  },
}));

export default {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-stands-alone',
      comment: 'core is pure: no host, no HTTP, no SQL, no Vue',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { path: ['^(contract|server|web|cli|e2e)/', '^(node:|fs|path|crypto|os|http)'] },
    },
    {
      name: 'contract-knows-core-only',
      severity: 'error',
      from: { path: '^contract/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(server|web|cli|e2e)/' },
    },
    {
      name: 'server-never-web',
      severity: 'error',
      from: { path: '^server/' },
      to: { path: '^(web|cli|e2e)/' },
    },
    {
      name: 'web-never-server',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^(server|cli|e2e)/' },
    },
    {
      name: 'simulation-knows-physics-only',
      severity: 'error',
      from: { path: '^core/simulation/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/(inspection|procedure|job|calls|plan|command|certificate)/' },
    },
    ...insideWeb,
    {
      name: 'core-by-its-door',
      comment: 'other packages import core by its exports, their tests too',
      severity: 'error',
      from: { path: '^(contract|server|web|cli|e2e)/' },
      to: { path: '^core/', dependencyTypes: ['local'] },
    },
    ...insideCore,
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types'],
      extensions: ['.ts', '.mjs', '.js', '.vue'],
    },
  },
};
