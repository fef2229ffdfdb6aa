import { argv } from 'node:process'

/**
 * Requests 500 different variants of the front page's display at once. A process of its own, so that
 * receiving them doesn't count as the waiting of others.
 */
const VARIANTS = 500
const products = ['HK-1', 'SM-L', 'GL-L', 'none']
const languages = ['en', 'de', 'fr', 'es', 'it']
const themes = ['light', 'dark']
const LIMITS = 24

const url = argv[2]!
const queries = products
  .flatMap((product) =>
    languages.flatMap((lang) =>
      themes.flatMap((theme) =>
        Array.from({ length: LIMITS }, (_, i) => ({ product, lang, theme, limit: String(i + 1) })),
      ),
    ),
  )
  .slice(0, VARIANTS)

const answers = await Promise.all(
  queries.map(async (query) => {
    const answer = await fetch(`${url}/d/front-page.json?${new URLSearchParams(query)}`)
    return { status: answer.status, body: await answer.text() }
  }),
)
const failed = answers.filter(({ status }) => status !== 200).length
const different = new Set(answers.map(({ body }) => body)).size
console.log(
  `${answers.length} variants were asked for, ${failed} failed, ${different} different answers came`,
)
