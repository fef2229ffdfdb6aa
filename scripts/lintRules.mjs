/** The project's own rules for the linter. */
const rule = (message, visitorOf) => ({
  create: (context) => visitorOf((node) => context.report({ node, message })),
})

export default {
  meta: { name: 'elogio' },
  rules: {
    // The clock comes in as an argument, so that a test can set it.
    'moment-as-argument': rule('Take the moment as an argument.', (report) => ({
      NewExpression(node) {
        if (node.callee.name === 'Date' && node.arguments.length === 0) report(node)
      },
    })),
    // Tables are known to the repositories and to the job list alone.
    'tables-in-data': rule('Ask a repository in server/data.', (report) => ({
      CallExpression(node) {
        if (node.callee.name === 'db' || node.callee.name === 'trx') report(node)
      },
    })),
  },
}
