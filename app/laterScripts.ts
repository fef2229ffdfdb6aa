/** Pages that can be read and filled in without scripts: these load when somebody first touches the page. */
const laterPages = /^\/(?:f\/[^/]+(?:\/frame)?|how\/[^/]+)\/?$/

export const loadsScriptsLater = (url: string): boolean => laterPages.test(new URL(url).pathname)

/**
 * What counts as a touch. Meanwhile a rating can be typed as in `RatingChoice`, and a form that is sent waits for the
 * scripts. If they do not come, it is sent without them.
 */
const loader = `(() => {
  let begun, sent;
  const begin = () => {
    if (begun) return;
    begun = true;
    for (const waiting of document.querySelectorAll('script[type=later]')) {
      const script = document.createElement('script');
      script.type = 'module';
      script.nonce = waiting.nonce;
      script.textContent = waiting.textContent;
      script.onerror = letGo;
      document.head.append(script);
    }
  };
  const events = ['pointerdown', 'pointermove', 'keydown', 'focusin', 'input', 'scroll'];
  const hold = (event) => {
    event.preventDefault();
    sent = event;
    begin();
    setTimeout(letGo, 20000);
  };
  const rate = ({ target, key }) => {
    if (target.type === 'radio' && /^[1-5]$/.test(key)) target.form.querySelector('[name=rating][value="' + key + '"]').click();
  };
  for (const name of events) addEventListener(name, begin, { capture: true, passive: true });
  addEventListener('keydown', rate);
  addEventListener('submit', hold, true);
  const letGo = () => {
    for (const name of events) removeEventListener(name, begin, true);
    removeEventListener('submit', hold, true);
    removeEventListener('keydown', rate);
    if (sent) sent.target.requestSubmit(sent.submitter);
    sent = undefined;
  };
  addEventListener('awake', letGo);
})()`.replace(/\n\s*/g, '')

/**
 * The HTML of a page whose module scripts are started by a small script of its own, instead of while it loads. Scripts
 * without a module stay: they only store what these read.
 */
export function withLaterScripts(html: string, nonce: string): string {
  return html
    .replace(/<link rel="modulepreload"[^>]*>/g, '')
    .replace(/(<script nonce="[^"]*") type="module" async="">/g, '$1 type="later">')
    .replace('</body>', `<script nonce="${nonce}">${loader}</script></body>`)
}
