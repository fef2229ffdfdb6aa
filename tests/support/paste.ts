import type { Page } from './page'

/** Pastes as from the clipboard, into a field. */
export async function paste({ driver, find }: Page, css: string, text: string): Promise<void> {
  await find(css)
  await driver.executeScript(
    `const field = document.querySelector(arguments[0]); field.focus();
     const clipboard = new DataTransfer(); clipboard.setData('text/plain', arguments[1]);
     field.dispatchEvent(new ClipboardEvent('paste', {clipboardData: clipboard, bubbles: true, cancelable: true}))`,
    css,
    text,
  )
}
