import { HtmlValidate } from 'html-validate'
import { describe, expect, test } from 'vitest'
import { layouts } from '../core/display/choices'
import type { ShowableReview } from '../core/display/showableReview'
import { customerLanguages } from '../core/messages/customers/languages'
import { configured, showable, shownOf } from '../tests/support/display'
import { renderDisplay, renderMessagePage, renderPage } from './render'

const reviews: ShowableReview[] = [
  showable(3, 500, {
    title: 'Passgenau',
    body: 'Alles\n\ngut',
    authorName: 'Annika Roth',
    language: 'de',
    productTitle: 'Hive kit',
    boughtAt: '2026-03-02T00:00:00Z',
    reply: { name: 'Mara', body: 'Danke' },
  }),
  showable(2, 300, {
    body: '',
    authorName: 'Jun Okabe',
    source: 'manualEntry',
    role: 'baker',
    company: 'Berg & Co',
    companyUrl: 'https://berg.example',
    relationship: 'received a discount',
  }),
  showable(1, 400, { body: 'So so.' }),
]
type Changed = Parameters<typeof configured>[0]
const modelOf = (changed: Changed = {}, of = reviews, asked = {}) => shownOf(of, configured(changed), asked)
const htmlOf = (changed: Changed = {}, of = reviews, asked = {}) =>
  renderDisplay(modelOf(changed, of, asked)).html
const text = (html: string) =>
  html
    .replace(/<[^>]+>/g, '|')
    .replace(/\|+/g, '|')
    .replace(/^\||\|$/g, '')
const two = { title: 'Kept bees a year longer', selection: { limit: 2 } }
const page = {
  look: { background: '#fff', textColour: '#111', fonts: '' },
  url: 'https://reviews.example/d/front',
}
const bare = { ...page, description: '', picture: null, jsonLd: null, script: null }

describe('the output', () => {
  test('is valid HTML in every layout, as a page and inside one', async () => {
    const validate = new HtmlValidate({
      extends: ['html-validate:standard'],
      rules: {
        'long-title': 'off',
        'no-trailing-whitespace': 'off',
        'void-style': 'off',
        'doctype-style': 'off',
        'require-sri': 'off',
      },
    })
    const moving = { autoplay: 5 }
    const pages = [
      ...layouts.map((kind) =>
        renderPage(modelOf({ ...two, layout: { kind, ...moving }, parts: { shortened: 5 } }), {
          ...page,
          description: 'Praise & more',
          picture: 'https://reviews.example/media/a.webp',
          jsonLd: '{}',
          script: '/parts/page-x.js',
        }),
      ),
      renderPage(modelOf({}, []), bare),
      renderMessagePage({ language: 'en', title: 'Not here', text: 'Look elsewhere.' }),
    ]
    for (const one of pages) {
      const report = await validate.validateString(one)
      expect(
        report.results.flatMap(({ messages }) =>
          messages.map(({ ruleId, message }) => `${ruleId}: ${message}`),
        ),
      ).toEqual([])
    }
  })
  test('says average, count, that few were picked and from how many, and who on what', () => {
    expect(text(htmlOf(two))).toBe(
      'Kept bees a year longer|4.5| from 2 ratings.|These 2 were selected by Wrenfield from 3.|How reviews are handled|Write a review|★★★★★|Passgenau|Alles|gut|Mara replied|Danke|Annika R.| on Hive kit|bought here, March 2026|The order number and the name match; it had been delivered.|★★★☆☆|Jun O.|, baker|, |Berg &amp; Co|written down by the shop|received a discount',
    )
  })
  test('photos are links that work without scripts, told apart in words, and open by what the loader brings', () => {
    const photo = {
      ...{ name: 'a.webp', small: 'b.webp', width: 1600, height: 1200 },
      ...{ video: null, seconds: null },
    }
    const photos = [
      { ...photo, alt: 'A hive in the snow' },
      { ...photo, alt: '' },
    ]
    const model = modelOf({}, [showable(1, 500, { photos })])
    const { html, behaviours } = renderDisplay(model, { photos: '/parts/photos.js', pack: '/parts/pack.js' })
    expect(html).toMatch(
      /<a href="[^"]*\/media\/a\.webp" data-w="1600" data-h="1200"><img src="[^"]*b\.webp"/,
    )
    expect([...html.matchAll(/ alt="([^"]+)"/g)].map(([, alt]) => alt)).toEqual([
      'A hive in the snow',
      'Photo 2 by Piotr L.',
    ])
    expect(behaviours).toContain('photos')
    expect(html).toMatch(/data-modules="[^"]*\/parts\/photos\.js"/)
    const without = modelOf({ parts: { photos: false } }, [showable(1, 500, { photos })])
    expect(renderDisplay(without).behaviours).not.toContain('photos')
    expect(renderDisplay(without).html).not.toContain('a.webp')
    expect(
      [renderDisplay(model).css, renderDisplay(without).css].map((css) => css.includes('.eg-photos')),
    ).toEqual([true, false])
  })
  test('carries no style, script or event of its own, so that a strict page takes it', () => {
    for (const kind of layouts)
      expect(htmlOf({ layout: { kind, autoplay: 4 } })).not.toMatch(/ style=|<style|<script| on[a-z]+=/)
  })
  test('brings the columns only where they are needed, from the marks that were set', () => {
    const css = (kind: (typeof layouts)[number]) =>
      renderDisplay(modelOf({ layout: { kind, marks: [500, 900, 1200], columns: 3 } })).css
    expect(css('grid')).toContain('@container (min-width:500px){.eg ol{--eg-n:2}}')
    expect(css('masonry')).toContain('@container (min-width:900px){.eg ol{--eg-n:3}}')
    expect(css('grid')).not.toContain('1200px')
    expect(css('list')).not.toContain('@container')
  })
})

describe('no setting passes a few for all', () => {
  const few = { limit: 2, ratings: [4, 5] }
  test.each(['list', 'grid', 'masonry', 'carousel', 'single'] as const)(
    'that they were picked is said %s, with everything switched off',
    (kind) => {
      const heading = { average: false, count: false, write: false, all: false }
      const shown = text(htmlOf({ layout: { kind }, heading, selection: few }))
      expect(shown).toContain('These 2, rated 4 or 5, were selected by Wrenfield from 3.')
      expect(shown).toContain('How reviews are handled')
    },
  )
  test('it is said in the language of the page', () => {
    expect(text(htmlOf({ selection: few }, reviews, { language: 'de' }))).toContain(
      'Diese 2, mit 4 oder 5 von 5 bewertet, hat Wrenfield aus 3 ausgewählt.',
    )
    for (const language of customerLanguages)
      expect(text(htmlOf({ selection: few }, reviews, { language }))).toMatch(/Wrenfield.*3|3.*Wrenfield/)
  })
  test.each(['aggregate', 'badge', 'ratingLine'] as const)(
    '%s has the average of all, whatever is picked',
    (kind) => {
      expect(text(htmlOf({ layout: { kind }, selection: { ratings: [5] } }))).toMatch(/4\.5/)
    },
  )
  test('it is not said when all are shown', () => {
    expect(text(htmlOf())).not.toContain('picked')
  })
})

describe('when nothing fits', () => {
  test('visitors read an invitation, or nothing, and never an invented figure', () => {
    expect(text(htmlOf({}, []))).toBe('No reviews here yet.|Write a review')
    expect(htmlOf({ whenEmpty: 'nothing' }, [])).toBe('')
    expect(text(htmlOf({ layout: { kind: 'ratingLine' } }, []))).toBe('Write a review')
    expect(htmlOf({ layout: { kind: 'badge' }, whenEmpty: 'nothing' }, [])).toBe('')
    expect(text(htmlOf({ layout: { kind: 'aggregate' } }, []))).not.toMatch(/\d/)
  })
})

describe('what a review shows', () => {
  test('long words go on behind a click, without scripts', () => {
    const long = [showable(1, 500, { body: `${'bees '.repeat(30)}end.` })]
    const html = htmlOf({ parts: { shortened: 10 } }, long)
    expect(html).toContain('<details><summary><span class="eg-closed">Read more</span>')
    expect(html).toContain('end.')
  })
  test('a rating stands as signs, a numeral, both or not at all', () => {
    const shown = (rating: 'glyphs' | 'numeral' | 'both' | 'hidden') =>
      text(htmlOf({ parts: { rating, glyph: 'heart' } }, [showable(1, 450, { body: 'Fine' })])).split(
        '|Fine',
      )[0]!
    expect(shown('glyphs')).toMatch(/♥♥♥♥♥$/)
    expect(shown('numeral')).toMatch(/\|4\.5$/)
    expect(shown('both')).toMatch(/♥♥♥♥♥\|4\.5$/)
    expect(shown('hidden')).not.toMatch(/♥|4\.5$/)
  })
  test('its own button and the way to all lead where they were told to', () => {
    const html = htmlOf({
      heading: { all: true, button: { words: 'To the shop', url: 'https://wrenfield.example/' } },
    })
    expect(html).toContain('<a class="eg-button" href="https://wrenfield.example/">To the shop</a>')
    expect(html).toContain('<a class="eg-all" href="https://reviews.example/d/front/all">See all 3</a>')
  })
})
