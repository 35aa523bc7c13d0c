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
  'task',
  'procedure',
  'plan',
  'stock',
  'certificate',
  'command',
];

const insideCore = coreOrder.map((folder, index) => ({
  name: `core-${folder}-imports-only-from-above`,
  comment: `core/${folder} may import only the folders listed before it in docs/architecture.md`,
  severity: 'error',
  from: { path: `^core/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/(${[...coreOrder.slice(index + 1), 'simulation'].join('|')})/` },
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
      to: { path: '^core/(inspection|procedure|job|plan|command|certificate)/' },
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
