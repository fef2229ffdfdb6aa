/** Whether a page is a form, or the thanks after it, for a frame in somebody's page. */
export const isFramedForm = (pathname: string): boolean => /^\/f\/[^/]+\/frame(\/thanks)?\/?$/.test(pathname)

/**
 * Tells the page around a frame how high its content is, at once and whenever that changes: a frame that nobody sees
 * yet observes nothing.
 */
const tellHeight = `{
  const page = document.body.firstElementChild;
  const tell = () => parent.postMessage({ elogioHeight: page.scrollHeight }, '*');
  new ResizeObserver(tell).observe(page);
  tell();
  addEventListener('load', tell);
}`.replace(/\n\s*/g, '')

export const withHeight = (html: string, nonce: string): string =>
  html.replace('</body>', `<script nonce="${nonce}">${tellHeight}</script></body>`)
