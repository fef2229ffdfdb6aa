/**
 * Sizes of the code: lines without comments and blanks, long functions, type assertions in `server/`. Run by hand:
 * `node scripts/size.mjs [--functions] [--assertions]`.
 */
import { readdirSync, readFileSync } from 'node:fs'
import ts from 'typescript'

const FOLDERS = ['app', 'server', 'core', 'onsite', 'cli']
const LONG = 60
const VERY_LONG = 150

const isTest = (file) => /\.test\.tsx?$|^tests\//.test(file)
const filesOf = (folders) =>
  folders.flatMap((folder) =>
    readdirSync(folder, { recursive: true })
      .filter((name) => /\.(?:tsx?|css|mjs)$/.test(name))
      .map((name) => `${folder}/${String(name)}`)
      .toSorted(),
  )

const sources = filesOf([...FOLDERS, 'tests', 'demo', 'standins', 'bench', 'scripts']).map((file) => ({
  file,
  source: ts.createSourceFile(
    file,
    readFileSync(file, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  ),
}))

/** Lines with something else than comments and blanks. */
function linesOf({ file, source }) {
  const text = source.getFullText()
  if (file.endsWith('.css'))
    return text
      .replace(/\/\*[\s\S]*?\*\//g, '')
      .split('\n')
      .filter((line) => line.trim()).length
  const used = new Set()
  const visit = (node) => {
    if (node.getChildCount(source) === 0 && node.getWidth(source) > 0) {
      const [from, to] = [node.getStart(source), node.getEnd()].map(
        (at) => source.getLineAndCharacterOfPosition(at).line,
      )
      for (let line = from; line <= to; line++) used.add(line)
    }
    for (const child of node.getChildren(source)) if (!ts.isJSDoc(child)) visit(child)
  }
  visit(source)
  return used.size
}

function each(node, see) {
  see(node)
  ts.forEachChild(node, (child) => each(child, see))
}

const measured = sources.map((one) => ({ ...one, lines: linesOf(one) }))
const sum = (some) => some.reduce((total, { lines }) => total + lines, 0)
const inFolders = measured.filter(({ file }) => FOLDERS.includes(file.split('/')[0]) && !isTest(file))
for (const folder of FOLDERS) {
  const lines = sum(inFolders.filter(({ file }) => file.startsWith(`${folder}/`)))
  console.log(`${String(lines).padStart(7)}  ${folder}`)
}
const tests = sum(measured.filter(({ file }) => isTest(file)))
const code = sum(measured.filter(({ file }) => !isTest(file)))
console.log(`${String(sum(inFolders)).padStart(7)}  lines of ${FOLDERS.join(', ')} without tests`)
console.log(
  `${String(tests).padStart(7)}  lines of tests: ${((100 * tests) / (tests + code)).toFixed(1)} % of all`,
)

const long = []
const assertions = []
for (const { file, source } of inFolders) {
  if (file.endsWith('.css')) continue
  each(source, (node) => {
    const lineAt = (at) => source.getLineAndCharacterOfPosition(at).line + 1
    if (ts.isFunctionLike(node) && node.body) {
      const lines = lineAt(node.getEnd()) - lineAt(node.getStart(source)) + 1
      if (lines > LONG)
        long.push({
          lines,
          at: `${file}:${lineAt(node.getStart(source))} ${node.name?.getText(source) ?? ''}`,
        })
    }
    if (ts.isAsExpression(node) && file.startsWith('server/') && node.type.getText(source) !== 'const')
      assertions.push(`${file}:${lineAt(node.getStart(source))} ${node.getText(source).replace(/\s+/g, ' ')}`)
  })
}
console.log(
  `${String(long.length).padStart(7)}  functions over ${LONG} lines, ${long.filter(({ lines }) => lines > VERY_LONG).length} over ${VERY_LONG}`,
)
console.log(`${String(assertions.length).padStart(7)}  type assertions in server/`)
if (process.argv.includes('--functions'))
  for (const { lines, at } of long.toSorted((a, b) => b.lines - a.lines)) console.log(`${lines} ${at}`)
if (process.argv.includes('--assertions')) for (const one of assertions) console.log(one)
