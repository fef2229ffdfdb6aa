import { expect, test } from 'vitest'
import { loadsScriptsLater, withLaterScripts } from './laterScripts'

const page = `<html><head><link rel="modulepreload" href="/a.js" nonce="n"/><link rel="stylesheet" href="/a.css"/></head>
<body><form></form><script nonce="n">window.context = 1</script><script nonce="n" type="module" async="">import "/a.js"</script></body></html>`

test('modules wait for a touch, what they read does not', () => {
  const later = withLaterScripts(page, 'n')
  expect(later).not.toContain('modulepreload')
  expect(later).toContain('<script nonce="n" type="later">import "/a.js"</script>')
  expect(later).toContain('<script nonce="n">window.context = 1</script>')
  expect(later).toContain('<link rel="stylesheet" href="/a.css"/>')
  const added = /<script nonce="n">(\(\(\) => \{[\s\S]*?)<\/script>/.exec(later)![1]!
  // oxlint-disable-next-line typescript/no-implied-eval
  expect(() => new Function(added)).not.toThrow()
  expect(added.length).toBeLessThan(1400)
})

test('only the form itself, in any language', () => {
  const later = (path: string) => loadsScriptsLater(`https://reviews.shop.example${path}`)
  expect([later('/f/tell-us'), later('/f/tell-us?lang=de')]).toEqual([true, true])
  expect([later('/f/tell-us/thanks?of=x'), later('/r/token'), later('/s/f/decide')]).toEqual([
    false,
    false,
    false,
  ])
})
