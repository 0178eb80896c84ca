// Which room may take from which (dependency-cruiser): web → contract → core ← contract ← server. Called by `npm run lint`.
const never = (name, comment, from, to) => ({ name, comment, severity: 'error', from, to });

module.exports = {
  forbidden: [
    never(
      'no-circles',
      'Two files that need each other are one, or a third is missing.',
      {},
      { circular: true },
    ),
    never(
      'core-is-pure',
      'The heart knows nothing of pages, calls and stores.',
      { path: '^core/' },
      { path: '^(contract|server|web|demo|bench|e2e)/' },
    ),
    never(
      'contract-over-core',
      'The contract is words and types: it takes from the heart alone.',
      { path: '^contract/' },
      { path: '^(server|web|demo|bench|e2e)/' },
    ),
    never(
      'web-and-server-apart',
      'The pages know the server by the contract alone.',
      { path: '^web/' },
      { path: '^(server|demo|bench|e2e)/' },
    ),
    never(
      'server-and-web-apart',
      'The server knows no page.',
      { path: '^server/' },
      { path: '^(web|demo|bench|e2e)/' },
    ),
    never(
      'routes-end-here',
      'Routes are what callers reach; what two of them share is a service beneath.',
      { path: '^server/src/', pathNot: '^server/src/app\\.ts$|\\.test\\.ts$' },
      { path: '/routes\\.ts$' },
    ),
    never(
      'queries-are-the-floor',
      'Statements know the store and the contract, and nothing above.',
      { path: '/queries\\.ts$' },
      {
        path: '^server/src/',
        pathNot: '^server/src/(db/|[a-z]+/queries\\.ts$|api/who\\.ts$|.*/worker\\.ts$)',
      },
    ),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
};
