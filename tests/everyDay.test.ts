import { afterAll, beforeAll, expect, test } from 'vitest'
import { By } from 'selenium-webdriver'
import { eventually } from './support/eventually'
import { startDemo, type Running } from './support/application'
import { desk, phone, withBrowser } from './support/browser'
import { sendSeveral, variedSentence } from './support/submissions'
import { Key, pageOf, type Page, signIn } from './support/page'

let demo: Running
beforeAll(async () => {
  demo = await startDemo()
})
afterAll(() => demo.stop())

const lane = async (page: Page, name: string) => Number(await page.text(`[data-lane-count=${name}]`))
const lanes = async (page: Page) => ({
  waiting: await lane(page, 'waiting'),
  held: await lane(page, 'held'),
  approved: await lane(page, 'approved'),
  declined: await lane(page, 'declined'),
  spam: await lane(page, 'spam'),
})

test('mixed arrivals are decided by keys alone, three of them undone, and the counts are right throughout', async () => {
  await sendSeveral(demo, 'tell-us', 16, (i) => ({
    rating: String((i % 5) + 1),
    author_name: `Visitor ${String(i).padStart(2, '0')}`,
    author_email: `visitor${i}@${['post', 'mail', 'letter', 'box'][i % 4]}.example`,
    product: ['HK-1', 'SM-L', 'GL-L'][i % 3]!,
    body: i % 4 === 0 ? `${variedSentence(i)} I live at ${i + 1} Old Mill Lane.` : variedSentence(i),
  }))
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/wrenfield/decide?lane=waiting&list')
    await page.sees('Visitor 15', 'nav[aria-label=Reviews]')
    expect(await page.text('main')).not.toContain('held back next')
    await page.go(demo.url + '/s/wrenfield/decide?lane=waiting')
    await page.sees('Visitor 15', '#writer')
    let counts = await lanes(page)
    const undecided = counts.waiting + counts.held
    expect(undecided).toBeGreaterThanOrEqual(16)

    let decided = ''
    const press = async (key: string, to: 'approved' | 'declined' | 'spam', from: 'waiting' | 'held') => {
      // A key that is pressed before the next review has come is no decision about it.
      const another = new RegExp(`^(?!\\s*${decided || 'nobody'}\\s*$)\\s*\\S`)
      await page.sees(another, '#writer')
      const writer = await page.text('#writer')
      await page.keys(key)
      counts = { ...counts, [from]: counts[from] - 1, [to]: counts[to] + 1 }
      await page.sees(writer, '[role=status]')
      await page.counts(counts)
      decided = writer
      return writer
    }
    const script = ['1', '1', '2', '3', '1'] as const
    const goal = { 1: 'approved', 2: 'declined', 3: 'spam' } as const
    let undone = 0
    for (const from of ['waiting', 'held'] as const) {
      if (from === 'held') {
        // A list that is done leads on by the same keys.
        await page.sees(`${counts.held} held back next`)
        await page.accessible()
        await page.keys(Key.ENTER)
        await page.sees('Why it’s held back')
      }
      for (let i = 0; counts[from] > 0 && i < 60; i++) {
        const key = script[i % script.length]!
        const writer = await press(key, goal[key], from)
        if (undone < 3 && i % 4 === 3) {
          await page.undo()
          decided = ''
          undone++
          counts = { ...counts, [from]: counts[from] + 1, [goal[key]]: counts[goal[key]] - 1 }
          await page.sees(`Undone: ${writer}’s review is`, '[role=status]')
          await page.counts(counts)
        }
      }
    }
    expect(undone).toBe(3)
    await page.sees('Nothing to decide.')
    expect(counts.waiting + counts.held).toBe(0)
  })
}, 180_000)

test('several at once: ticks, a range, all that match, and one undo for them together', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/wrenfield/decide?lane=approved')
    await page.sees(/\S/, '#writer')
    const before = await lanes(page)
    await page.keys(Key.SPACE)
    await page.sees('1 selected')
    await page.accessible()
    await driver.executeScript(
      `const boxes = document.querySelectorAll('nav[aria-label=Reviews] input[type=checkbox]');
       boxes[3].dispatchEvent(new MouseEvent('click', {bubbles: true, shiftKey: true, cancelable: true}))`,
    )
    await page.sees('4 selected')
    await page.keys('3')
    await page.counts({ ...before, approved: before.approved - 4, spam: before.spam + 4 })
    await page.sees('Marked 4 reviews as spam.', '[role=status]')
    await page.undo()
    await page.sees('Undone: 4 reviews are as they were.', '[role=status]')
    await page.counts(before)

    await page.go(`${demo.url}/s/wrenfield/decide?lane=approved&rating=4`)
    await page.sees(/\S/, '#writer')
    await page.keys(Key.SPACE)
    await page.press('that match')
    await page.sees(/All \d+ that match are selected/)
    await page.type('[aria-label="Add a tag"]', `for the course${Key.ENTER}`)
    await page.sees(/Tagged \d+ reviews\./, '[role=status]')
    await page.press('Saved filters')
    await page.go(`${demo.url}/s/wrenfield/decide?lane=approved&rating=4&bought=yes`)
    await page.sees('verified buyers', '[data-filter=bought]')
    await page.press('Saved filters')
    await page.type('[name=name]', `Happy buyers${Key.ENTER}`)
    await page.sees('Happy buyers', 'details')
    await page.go(`${demo.url}/s/wrenfield/decide?lane=spam`)
    await page.sees(/\S/, '#writer')
    await page.press('Saved filters')
    await page.press('Happy buyers')
    await page.sees('verified buyers', '[data-filter=bought]')
    await page.at('rating=4')

    await page.go(`${demo.url}/s/wrenfield/decide?lane=approved&tag=for+the+course`)
    await page.sees('tagged for the course', '[data-filter=tag]')
    await page.sees('#for the course')
  })
})

test('a reply stands where visitors read it, is changed and taken back; reasons, tags, notes and search', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/wrenfield/decide?lane=declined&q=frames')
    await page.sees(/^\d/, '[data-lane-matches=approved]')
    await page.press(`${await page.text('[data-lane-matches=approved]')} approved`)
    await page.sees(/\S/, '#writer')
    await page.find('article .found-word')
    await page.accessible()

    await page.go(`${demo.url}/s/wrenfield/decide?lane=approved`)
    await page.sees('Front page', 'article dl')
    const writer = await page.text('#writer')
    await page.keys('4')
    await page.type('[name=reply]', 'Thank you, we have passed it on.')
    await page.sees('Draft saved')
    await driver.navigate().refresh()
    await page.sees(writer, '#writer')
    expect(await (await page.find('[name=reply]')).getAttribute('value')).toBe(
      'Thank you, we have passed it on.',
    )
    await page.press('Post reply')
    await page.sees(`Your reply to ${writer} is posted.`, '[role=status]')
    await page.sees('You replied in public', 'article')
    await page.go(demo.shopUrl)
    await page.displaySees(/Mara at Wrenfield replied\s+Thank you, we have passed it on\./)
    await driver.navigate().back()
    await page.press('Delete reply')
    await page.sees('is deleted', '[role=status]')
    await page.undo()
    await page.sees('Your reply, today', 'article')

    await page.keys('7')
    await page.keys('Ring her in May.', Key.ESCAPE)
    await page.sees('Saved', 'article')
    await page.keys('6')
    await page.keys('gift idea', Key.ENTER, Key.ESCAPE)
    await page.sees('#gift idea', 'article')
    // The second is given before the first is answered.
    await driver.executeScript(
      'for (const name of ["for May", "a friend"]) { tag.value = name; tag.form.requestSubmit() }',
    )
    await page.sees('#for May', 'article')
    await page.sees('#a friend', 'article')
    await page.chord(Key.SHIFT, '2')
    await page.sees('It was sent twice.')
    await page.keys('5')
    await page.sees(`Declined ${writer}’s review.`, '[role=status]')
    await page.undo()
    await page.sees(`Undone: ${writer}’s review`, '[role=status]')
    await page.sees('#gift idea', 'article')
    expect(await (await page.find('[name=note]')).getAttribute('value')).toBe('Ring her in May.')

    await page.keys('?')
    await page.sees('select and go on', 'dialog[open]')
    await page.click('dialog[open] input[type=checkbox]')
    await page.keys(Key.ESCAPE, '/')
    expect(await driver.executeScript('return document.activeElement.role')).not.toBe('combobox')
    await page.click('[aria-label="Keyboard shortcuts"]')
    await page.click('dialog[open] input[type=checkbox]')
    await page.accessible()
    await page.keys(Key.ESCAPE)

    await page.type('[name=q]', 'zzzz nothing')
    await page.sees('No approved reviews match.')
    await page.press('Clear filter')
    await page.sees(/\S/, '#writer')
  })
})

/** Presses `/` once the page’s scripts listen. */
async function openFind(page: Page): Promise<void> {
  await eventually(async () => {
    if ((await page.driver.findElements(By.css('dialog[open]'))).length === 0) await page.keys('/')
    expect(await page.driver.findElements(By.css('dialog[open] [role=combobox]'))).toHaveLength(1)
  })
}

test('everything is found from every screen, by keys', async () => {
  await withBrowser(desk, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/wrenfield/show')
    await page.sees(/\S/, 'h1')
    await openFind(page)
    await page.keys('zzzz nothing')
    await page.sees('Nothing found for “zzzz nothing”.', 'dialog[open]')
    await page.chord(Key.CONTROL, 'a')
    await page.keys('copper')
    await page.sees('Copper smoker', 'dialog[open] [role=listbox]')
    await page.accessible()
    await page.chord(Key.CONTROL, 'a')
    // Enter before the answer waits for it, and opens nothing of the answer before.
    await page.keys('smtp', Key.ENTER)
    await page.sees('Email', 'h1, h2')
    expect(new URL(await driver.getCurrentUrl()).pathname).toBe('/s/wrenfield/settings/email')
    // What was found lately comes first, and leaves with her.
    await openFind(page)
    await page.sees('Found lately', 'dialog[open]')
    await page.keys(Key.ESCAPE)
    await driver.get(demo.url + '/s/wrenfield/decide?lane=approved')
    await page.sees(/\S/, '#writer')
    await openFind(page)
    await page.keys('honey')
    await page.sees('Approved reviews with “honey”', 'dialog[open] [role=option][aria-selected=true]')
    await page.keys(Key.ENTER)
    await page.find('[data-lane-matches=approved]')
    expect(await (await page.find('[name=q]')).getAttribute('value')).toBe('honey')
  })
})

test('by night and on a wide screen every screen holds its contrast and its width', async () => {
  await withBrowser({ width: 1920, height: 1080 }, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/wrenfield/gather')
    await page.sees('reviews in the last 30 days')
    await page.click('header details:last-of-type summary')
    await page.click('header select')
    await page.keys(Key.ARROW_DOWN, Key.ARROW_DOWN, Key.ENTER)
    await page.find('html[data-theme=elogio-night]')
    for (const path of [
      'gather',
      'gather/write',
      'decide?lane=held',
      'decide?lane=spam',
      'show',
      'show/front-page',
      'settings',
    ]) {
      await page.go(`${demo.url}/s/wrenfield/${path}`)
      await page.find('main h1')
      await page.find('html[data-theme=elogio-night]')
      await page.accessible()
      // Only the columns scroll, not the page around them.
      const { scrollWidth, scrollHeight } = (await driver.executeScript(
        'const { scrollWidth, scrollHeight } = document.documentElement; return { scrollWidth, scrollHeight }',
      )) as Record<'scrollWidth' | 'scrollHeight', number>
      expect({ path, scrollWidth, scrollHeight }).toEqual({ path, scrollWidth: 1920, scrollHeight: 1080 })
    }
    await page.go(`${demo.url}/f/tell-us`)
    await page.find('html[data-theme=elogio]')
    await page.accessible()
  })
})

test('on a phone list and review are pages of their own, and nothing sticks out', async () => {
  await withBrowser(phone, async (driver) => {
    const page = pageOf(driver)
    await signIn(page, demo.url + '/s/wrenfield/decide?lane=approved')
    await page.sees(/\S/, '#writer')
    const fits = () => driver.executeScript<boolean>('return document.documentElement.scrollWidth <= 390')
    expect(await fits()).toBe(true)
    await page.accessible()
    await page.press('Back to list')
    await page.find('nav[aria-label=Reviews] a')
    expect(await fits()).toBe(true)
    await page.accessible()
    for (const path of ['gather', 'gather/write', 'show', 'settings']) {
      await page.go(`${demo.url}/s/wrenfield/${path}`)
      await page.find('main h1')
      expect([path, await fits()]).toEqual([path, true])
      await page.accessible()
    }
  })
})
