import domains from 'disposable-email-domains'

let listed: Set<string> | undefined
const asked = new Map<string, boolean>()
const ASKED_AT_MOST = 20_000
const spoken =
  /temp-?e?mail|e?mail-?temp|trash-?e?mail|e?mail-?trash|throw-?away|disposable|burner|fake-?(?:e?mail|inbox|box)|spam-?(?:box|hole|trap|mail|free)|10-?min|minute-?mail|mail-?drop|drop-?mail|one-?time-?mail|wegwerf|jetable|desechable|usa-?e-?getta|einmal-?mail|discard|anon-?mail|no-?trace/u

/** Whether an email domain offers disposable addresses, by a list or by its name. */
export function isThrowAway(domain: string): boolean {
  if (domain === '') return false
  const known = asked.get(domain)
  if (known !== undefined) return known
  listed ??= new Set(domains)
  const answer = listed.has(domain) || spoken.test(domain)
  if (asked.size >= ASKED_AT_MOST) asked.clear()
  asked.set(domain, answer)
  return answer
}
