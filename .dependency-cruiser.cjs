/** Imports run only downward: app > server, cli > demo > core. `npm run directions` proves it. */
const onlyTo = (name, from, to) => ({
  name,
  severity: 'error',
  comment: `${from} may import only ${to}`,
  from: { path: `^${from}/` },
  to: { path: '^(app|server|cli|demo|core|e2e|scripts)/', pathNot: `^(${to})/` },
})

/** The order of core's folders (docs/structure.md): each imports only itself and those that stand before it. */
const coreOrder = [
  'quantities',
  'knowledge',
  'records',
  'readings',
  'statistics',
  'loads',
  'costs',
  'cure',
  'coupons',
  'situation',
  'care',
  'evidence',
  'screening',
  'planning',
  'schedule',
  'choice',
  'photo',
  'formats',
]
const tests = '(\\.test\\.ts$|__tests__/)'
const inOrder = coreOrder.map((folder, at) => ({
  name: `core-order-${folder}`,
  severity: 'error',
  comment: `core/${folder} may import only core's errors and ${coreOrder.slice(0, at).join(', ') || 'itself'}`,
  from: { path: `^core/${folder}/`, pathNot: tests },
  to: { path: '^core/.+/', pathNot: `^core/(${coreOrder.slice(0, at + 1).join('|')})/` },
}))
const everyFolderHasItsPlace = {
  name: 'core-folder-without-place',
  severity: 'error',
  comment: 'a folder of core that is not in its order imports what it likes: give it its place',
  from: { path: '^core/([^/]+)/', pathNot: `^core/(${coreOrder.join('|')})/` },
  to: {},
}

module.exports = {
  forbidden: [
    onlyTo('core-stands-alone', 'core', 'core'),
    ...inOrder,
    everyFolderHasItsPlace,
    onlyTo('demo-knows-core', 'demo', 'demo|core'),
    onlyTo('cli-knows-core', 'cli', 'cli|demo|core'),
    onlyTo('server-knows-core', 'server', 'server|demo|core'),
    onlyTo('app-knows-below', 'app', 'app|demo|core'),
    {
      name: 'core-has-no-interface-code',
      severity: 'error',
      comment: 'core is pure: no Vue, no browser, no Node module; its packages are zod, a packer and a solid modeller',
      from: { path: '^core/', pathNot: tests },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core'],
        pathNot: 'node_modules/(zod|maxrects-packer|@jscad/modeling)',
      },
    },
    {
      name: 'storage-knows-no-bench',
      severity: 'error',
      comment: 'app/storage keeps cells and settings, whatever is in them',
      from: { path: '^app/storage/', pathNot: tests },
      to: { path: '^app/', pathNot: '^app/storage/' },
    },
    {
      name: 'look-knows-no-station',
      severity: 'error',
      comment: 'app/look is the bottom of the app: drawings and figures know no bench and no station',
      from: { path: '^app/look/' },
      to: { path: '^app/(bench|stations|frame|shelf|workers|instruments)/' },
    },
    {
      name: 'stations-keep-apart',
      severity: 'error',
      comment: 'a station imports no other station; what two share belongs to core, look or bench',
      from: { path: '^app/stations/([^/]+)/' },
      to: { path: '^app/stations/([^/]+)/', pathNot: '^app/stations/$1/' },
    },
    {
      name: 'bench-knows-no-page',
      severity: 'error',
      from: { path: '^app/bench/' },
      to: { path: '^app/(stations|frame|shelf)/' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'no-orphan-imports',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '^(pinia|vuetify/|vite/client|vite-plugin-pwa/client|virtual:)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.vue', '.js', '.mjs', '.json', '.css'] },
  },
}
