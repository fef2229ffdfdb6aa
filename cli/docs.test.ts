import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import ts from 'typescript'
import { expect, test } from 'vitest'

interface Block {
  page: string
  /** Where the code would stand. */
  file: string
  code: string
}

/** The code of the pages: each block names the file that it would be. */
const blocks: Block[] = ['README.md', ...readdirSync('docs').map((name) => `docs/${name}`)]
  .filter((page) => page.endsWith('.md'))
  .flatMap((page) =>
    [...readFileSync(page, 'utf8').matchAll(/^```tsx?(.*)\n([\s\S]*?)^```$/gm)].map(([, file, code]) => ({
      page,
      file: file!.trim(),
      code: code!,
    })),
  )

/** What the compiler says of a block in its place. */
function problemsOf({ file, code }: Block): string[] {
  const { options } = ts.parseJsonConfigFileContent(
    ts.readConfigFile('tsconfig.json', (name) => ts.sys.readFile(name)).config,
    ts.sys,
    '.',
  )
  const place = path.resolve(file)
  const host = ts.createCompilerHost(options)
  const getSourceFile = host.getSourceFile.bind(host)
  const fileExists = host.fileExists.bind(host)
  host.getSourceFile = (name, ...more) =>
    path.resolve(name) === place
      ? ts.createSourceFile(name, code, ts.ScriptTarget.Latest)
      : getSourceFile(name, ...more)
  host.fileExists = (name) => path.resolve(name) === place || fileExists(name)
  const program = ts.createProgram([place], options, host)
  const source = program.getSourceFile(place)
  return [...program.getSyntacticDiagnostics(source), ...program.getSemanticDiagnostics(source)].map(
    ({ messageText }) => ts.flattenDiagnosticMessageText(messageText, ' '),
  )
}

test('the code in the pages is code', () => {
  expect(blocks.length).toBeGreaterThan(0)
  expect(blocks.filter(({ file }) => file === '').map(({ page }) => page)).toEqual([])
  const found = blocks.map((block) => ({ page: block.page, problems: problemsOf(block) }))
  expect(found.filter(({ problems }) => problems.length > 0)).toEqual([])
})
