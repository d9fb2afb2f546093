/** @type {import('dependency-cruiser').IConfiguration} */
const outer = '^(app|server|cli|e2e|scripts)/';
/** Inside core, quantity <- form <- standards <- the rest, among which evidence <- reading <- identify; job, formats and ops stand on top. */
const layer = (name, may) => ({
  name: `core-layer-${name}`,
  severity: 'error',
  from: { path: `^core/${name}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^core/', pathNot: `^core/(${[name, ...may].join('|')})/` },
});
const base = ['numeric', 'quantity', 'form', 'standards'];
module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-is-pure',
      comment:
        'core knows nothing of words, door, interface, store, storage, workers, server, command line or demo data',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { path: `${outer}|^demo/|^words/|^ops/` },
    },
    {
      name: 'words-say-core',
      comment: 'the one place of wording turns core\u2019s data into sentences and knows nothing else',
      severity: 'error',
      from: { path: '^words/', pathNot: '\\.test\\.ts$' },
      to: { path: `${outer}|^demo/|^ops/` },
    },
    {
      name: 'ops-apart',
      comment: 'the headless door rests on core and words',
      severity: 'error',
      from: { path: '^ops/', pathNot: '\\.test\\.ts$' },
      to: { path: `${outer}|^demo/` },
    },
    {
      name: 'core-packages',
      comment: 'core may use these packages and no others',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'npm-optional', 'npm-peer', 'npm-no-pkg', 'npm-unknown'],
        pathNot: 'node_modules/(ml-matrix|fft\\.js|fraction\\.js|ajv|@sinclair/typebox)/',
      },
    },
    {
      name: 'core-no-node',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    layer('numeric', []),
    layer('quantity', []),
    layer('form', ['numeric', 'quantity']),
    layer('standards', ['quantity', 'form']),
    ...['evidence', 'gearing', 'cutting', 'pickup', 'gauging', 'fit', 'lathe'].map((n) =>
      layer(n, [...base, ...(n === 'cutting' || n === 'gearing' ? ['lathe'] : [])]),
    ),
    layer('reading', [...base, 'evidence']),
    layer('sizing', [...base, 'reading', 'cutting', 'lathe', 'evidence']),
    layer('identify', [...base, 'evidence', 'reading']),
    {
      name: 'demo-is-data',
      severity: 'error',
      from: { path: '^demo/', pathNot: '\\.test\\.ts$' },
      to: { path: outer },
    },
    {
      name: 'storage-below-store',
      comment: 'the store keeps what is open and writes it through storage; storage knows nothing of it',
      severity: 'error',
      from: { path: '^app/storage/', pathNot: '\\.test\\.ts$' },
      to: { path: '^app/(store|stations|shop|shell|job|machine)/' },
    },
    {
      name: 'workers-use-core-only',
      severity: 'error',
      from: { path: '^app/workers/.*worker\\.ts$' },
      to: { path: '^app/', pathNot: '^app/workers/' },
    },
    {
      name: 'views-import-no-formula',
      comment:
        'what a view shows is worked out in core and handed over whole: by stations in core/job, by tables in core/tables',
      severity: 'error',
      from: {
        path: '^app/(stations|shop|shell|job)/',
        // what is drawn needs its outlines
        pathNot: '\\.test\\.tsx?$|(Drawing|Dial|Overlay|Plot|Groove)\\.tsx$',
      },
      to: { path: '^core/(form|fit|gauging|cutting|pickup|evidence)/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'sim-apart',
      comment: 'the simulated shop proves the computation, so it shares none of it: units and document types only',
      severity: 'error',
      from: { path: '^sim/', pathNot: '\\.test\\.ts$' },
      to: { path: `${outer}|^core/|^demo/`, pathNot: '^core/quantity/units\\.ts$', dependencyTypesNot: ['type-only'] },
    },
    { name: 'server-apart', severity: 'error', from: { path: '^server/' }, to: { path: '^(app|cli)/' } },
    {
      name: 'cli-apart',
      severity: 'error',
      from: { path: '^cli/', pathNot: '\\.test\\.ts$' },
      to: { path: '^(app|server)/' },
    },
    { name: 'not-to-unresolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.css$|\\?worker$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.app.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.cjs', '.json'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      exportsFields: ['exports'],
    },
  },
};
