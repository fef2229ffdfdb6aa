/**
 * Makes random mutations, one at a time, and says which of them the unit tests miss. Run by hand in a copy of the
 * project, since it changes files while it runs: `node scripts/mutate.mjs COUNT SEED PATH…`.
 */
import { spawnSync } from 'node:child_process'
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import ts from 'typescript'
import { root } from './install.mjs'

const [count, seed, ...paths] = process.argv.slice(2)
if (paths.length === 0) {
  console.error('node scripts/mutate.mjs COUNT SEED PATH…')
  process.exit(1)
}
/** The tests without a mutation take their time; one that makes them take much longer is found. */
const MAX_FIRST_RUN_MS = 3_600_000
const MAX_RUN_MS = 300_000

const swapped = new Map([
  [ts.SyntaxKind.LessThanToken, '<='],
  [ts.SyntaxKind.LessThanEqualsToken, '<'],
  [ts.SyntaxKind.GreaterThanToken, '>='],
  [ts.SyntaxKind.GreaterThanEqualsToken, '>'],
  [ts.SyntaxKind.EqualsEqualsEqualsToken, '!=='],
  [ts.SyntaxKind.ExclamationEqualsEqualsToken, '==='],
  [ts.SyntaxKind.AmpersandAmpersandToken, '||'],
  [ts.SyntaxKind.BarBarToken, '&&'],
  [ts.SyntaxKind.QuestionQuestionToken, '&&'],
  [ts.SyntaxKind.PlusToken, '-'],
  [ts.SyntaxKind.MinusToken, '+'],
  [ts.SyntaxKind.AsteriskToken, '/'],
  [ts.SyntaxKind.SlashToken, '*'],
])

/** The mutations of a file: what stands where instead of what. */
function mutationsOf(file) {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true)
  const found = []
  const put = (node, text) => found.push({ file, from: node.getStart(source), to: node.getEnd(), text })
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return
    if (ts.isBinaryExpression(node) && swapped.has(node.operatorToken.kind))
      put(node.operatorToken, swapped.get(node.operatorToken.kind))
    if (node.kind === ts.SyntaxKind.TrueKeyword) put(node, 'false')
    if (node.kind === ts.SyntaxKind.FalseKeyword) put(node, 'true')
    if (ts.isNumericLiteral(node)) put(node, `(${node.text} + 1)`)
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      put(node, `(${node.operand.getText(source)})`)
    if (ts.isConditionalExpression(node)) put(node.condition, `!(${node.condition.getText(source)})`)
    if (ts.isIfStatement(node)) put(node.expression, `!(${node.expression.getText(source)})`)
    if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression)) put(node, ';')
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

const sources = paths.flatMap((given) =>
  statSync(given).isDirectory()
    ? readdirSync(given, { recursive: true }).map((name) => path.join(given, String(name)))
    : [given],
)
const all = sources.filter((file) => /(?<!\.test|\.d)\.tsx?$/.test(file)).flatMap(mutationsOf)

/** The same mutations for the same seed. */
let state = Number(seed)
const chance = (below) => {
  state = (state * 1_103_515_245 + 12_345) % 2_147_483_648
  return Math.floor((state / 2_147_483_648) * below)
}

const chosen = new Set()
while (chosen.size < Math.min(Number(count), all.length)) chosen.add(chance(all.length))
const files = [...new Set([...chosen].map((at) => all[at].file))]
if (!passes(MAX_FIRST_RUN_MS, 'related', '--run', ...files)) {
  console.error('The unit tests fail without any mutation, so that they tell nothing. Is it built?')
  process.exit(1)
}
let killed = 0
for (const [i, at] of [...chosen].entries()) {
  const { file, from, to, text } = all[at]
  const whole = readFileSync(file, 'utf8')
  writeFileSync(file, whole.slice(0, from) + text + whole.slice(to))
  let isKilled
  try {
    // The tests beside a file are quick, and find most of it.
    isKilled = !passes(MAX_RUN_MS, 'run', path.dirname(file)) || !passes(MAX_RUN_MS, 'related', '--run', file)
  } finally {
    writeFileSync(file, whole)
  }
  if (isKilled) killed++
  const line = whole.slice(0, from).split('\n').length
  const shown = whole.slice(from, to).replace(/\s+/g, ' ').slice(0, 60)
  console.log(`${i + 1} ${isKilled ? 'killed' : 'LIVES '} ${file}:${line} ${shown} -> ${text.slice(0, 60)}`)
}
const [low, high] = wilson(killed, chosen.size)
console.log(
  `${killed} of ${chosen.size} are killed: ${percent(killed / chosen.size)}, between ${percent(low)} and ${percent(high)} (95 %).`,
)

/** Whether some unit tests pass; those that do not end have failed. */
function passes(timeout, ...which) {
  const { status } = spawnSync(
    'npx',
    ['vitest', ...which, '--project', 'unit', '--bail', '1', '--reporter', 'dot', '--passWithNoTests'],
    { cwd: root, stdio: 'ignore', timeout, killSignal: 'SIGKILL' },
  )
  return status === 0
}

/** Wilson's score interval of a share (Wilson 1927). */
function wilson(hits, of, z = 1.96) {
  const share = hits / of
  const middle = (share + (z * z) / (2 * of)) / (1 + (z * z) / of)
  const half = (z / (1 + (z * z) / of)) * Math.sqrt((share * (1 - share)) / of + (z * z) / (4 * of * of))
  return [middle - half, middle + half]
}

function percent(share) {
  return `${Math.round(100 * share)} %`
}
