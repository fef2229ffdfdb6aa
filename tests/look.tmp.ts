import { writeFileSync } from 'node:fs'
import { withBrowser, desk, phone } from './support/browser'
import { By, until } from 'selenium-webdriver'
const [,, win, out, ...steps] = process.argv
await withBrowser(win==='phone'?phone:win==='wide'?{width:1920,height:1080}:desk, async d => {
  let n=0
  for (const s of steps) {
    const [k,...r]=s.split(' '); const v=r.join(' ')
    if (k==='go') await d.get(v.startsWith('http')?v:'http://localhost:4310'+v)
    if (k==='in') { await d.get('http://localhost:4310/sign-in'); await d.findElement(By.css('main form button')).click(); await d.wait(until.urlContains('/gather'),5000) }
    if (k==='click') await d.findElement(By.css(v)).click()
    if (k==='type') { const [sel,...t]=v.split('|'); await d.findElement(By.css(sel)).sendKeys(t.join('|')) }
    if (k==='wait') await new Promise(r=>setTimeout(r,+v))
    if (k==='js') console.log(await d.executeScript(v))
    if (k==='shot') { writeFileSync(`${out}${v||++n}.png`, await d.takeScreenshot(),'base64'); }
  }
  const logs = await d.manage().logs().get('browser').catch(()=>[]); for (const l of logs) console.log('LOG', l.message.slice(0,400))
})
