import { readFileSync } from 'node:fs'

/** The commands of `docs/running.md`, by its headings. */
export function runningCommands(): Map<string, string[]> {
  const sections = readFileSync('docs/running.md', 'utf8').split(/^## /m).slice(1)
  return new Map(
    sections.map((section) => {
      const blocks = [...section.matchAll(/^```sh\n([\s\S]*?)^```/gm)].map(([, commands]) => commands!)
      return [section.split('\n', 1)[0]!, blocks.flatMap((block) => block.trim().split('\n'))]
    }),
  )
}
