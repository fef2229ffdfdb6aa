/** Which folder may import which; the table stands in docs/architecture.md. */
const only = (folder, allowed, why) => ({
  name: `${folder}-imports`,
  comment: why,
  severity: 'error',
  from: { path: `^${folder}/`, pathNot: '\\.test\\.tsx?$' },
  to: {
    path: '^(core|onsite|server|app|standins|cli|demo|tests|bench)/',
    pathNot: `^(${[folder, ...allowed].join('|')})/`,
  },
})

module.exports = {
  forbidden: [
    only('core', [], 'the computation knows nothing around it'),
    only('onsite', ['core'], 'what runs on other pages stands on the computation alone'),
    only('server', ['core', 'onsite'], 'use cases know no screen'),
    only('app', ['core', 'onsite', 'server'], 'screens stand on all below them'),
    only('standins', [], 'the outside world knows nothing of the application'),
    only('cli', ['server', 'core'], 'commands are the use cases without a screen'),
    only('demo', ['server', 'core'], 'the made-up shop comes in through the use cases'),
    {
      name: 'app-takes-types-only-from-server',
      comment: 'a value would load the server a second time; use cases come through the load context',
      severity: 'error',
      from: { path: '^app/' },
      to: { path: '^server/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'core-is-pure',
      comment: 'no React, no database, no file, clock or network in the computation',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.tsx?$' },
      to: {
        path: '(^|/)(react|react-dom|react-router|knex|better-sqlite3)(/|$)|^node:',
        dependencyTypesNot: ['type-only'],
      },
    },
    {
      name: 'core-uses-no-node',
      comment: 'it runs in the browser too',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.tsx?$' },
      to: { dependencyTypes: ['core'] },
    },
    { name: 'no-circle', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'use-cases-know-no-http',
      comment: 'what answers requests stands on the use cases, never under them',
      severity: 'error',
      from: {
        path: '^server/(collection|moderation|proof|publishing|account|jobs)/',
        pathNot: '\\.test\\.ts$',
      },
      to: { path: '^server/http/' },
    },
    {
      name: 'repositories-call-nobody-up',
      comment: 'data never calls back up the path',
      severity: 'error',
      from: { path: '^server/data/' },
      to: { path: '^server/(?!data/)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    exclude: { path: '^(build|\\.react-router|data)/|\\+types' },
  },
}
