import { HtmlValidate } from 'html-validate'
import { describe, expect, test } from 'vitest'
import type { DisplayModel } from '../core/display/displayModel'
import { renderAbsentPage, renderDisplay, renderPage } from './render'

const model: DisplayModel = {
  shopName: 'Wrenfield Bee Supply',
  shortName: 'Wrenfield',
  locale: 'en-GB',
  heading: 'Kept bees a year longer',
  layout: 'grid',
  accent: '#8a6d1f',
  tally: { count: 3, average: 1300 / 3, byMark: [0, 0, 1, 0, 2] },
  stock: 3,
  quotations: [
    {
      publicId: 'a',
      marks: 5,
      title: 'Passgenau',
      paragraphs: ['Alles', 'gut'],
      name: 'Annika R.',
      language: 'de',
      product: 'Hive kit',
      proof: 'bought here, March 2026',
      note: '',
      role: '',
      company: null,
      relationship: '',
      reply: null,
      portrait: null,
    },
    {
      publicId: 'b',
      marks: 3,
      title: '',
      paragraphs: [],
      name: 'Jun O.',
      language: null,
      product: null,
      proof: null,
      note: 'written down by the shop',
      role: 'baker',
      company: { name: 'Berg & Co', url: 'https://berg.example', logo: null },
      relationship: 'received a discount',
      reply: null,
      portrait: null,
    },
  ],
  writeUrl: 'https://reviews.wrenfield.example/f/tell-us',
}
const text = (html: string) => html.replace(/<[^>]+>/g, '|').replace(/\|+/g, '|')

describe('the output', () => {
  test('is valid HTML, as a page and inside one', async () => {
    const validate = new HtmlValidate({
      extends: ['html-validate:standard'],
      rules: {
        'long-title': 'off',
        'no-trailing-whitespace': 'off',
        'void-style': 'off',
        'doctype-style': 'off',
      },
    })
    const pages = [
      renderPage(model),
      renderPage({ ...model, heading: '', quotations: [] }),
      renderAbsentPage(),
    ]
    for (const page of pages) {
      const report = await validate.validateString(page)
      expect(
        report.results.flatMap(({ messages }) =>
          messages.map(({ ruleId, message }) => `${ruleId}: ${message}`),
        ),
      ).toEqual([])
    }
  })
  test('says average, count, that few were picked, and who on what', () => {
    expect(text(renderDisplay(model).html)).toBe(
      '|Kept bees a year longer|4.3| from 3 reviews. These 2 were picked by Wrenfield.|Write a review|★★★★★|Passgenau|Alles|gut|Annika R.| on Hive kit|bought here, March 2026|★★★|★★|Jun O.|, baker, |Berg &amp; Co|written down by the shop|received a discount|',
    )
  })
  test('does not say picked when all are shown, and asks for a first one when there is none', () => {
    expect(text(renderDisplay({ ...model, stock: 2 }).html)).not.toContain('picked')
    const empty = {
      ...model,
      quotations: [],
      stock: 0,
      tally: { count: 0, average: null, byMark: [0, 0, 0, 0, 0] as [number, number, number, number, number] },
    }
    expect(text(renderDisplay(empty).html)).toContain('No reviews here yet.|Write a review|')
  })
  test('carries no style, script or event of its own, so that a strict page takes it', () => {
    expect(renderDisplay(model).html).not.toMatch(/ style=|<style|<script| on[a-z]+=/)
  })
  test('brings the columns only where they are needed', () => {
    expect(renderDisplay(model).css).toContain('@container (min-width:430px)')
    expect(renderDisplay({ ...model, layout: 'list' }).css).not.toContain('@container')
  })
})
