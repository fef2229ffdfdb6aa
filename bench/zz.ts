import { findLinks } from '../core/moderation/signals/link'
import { orderNumberCandidates } from '../core/moderation/signals/personal'
import { languageOf } from '../core/intake/language'
import { normalizeText } from '../core/formats/normalizeText'
const parts = ['www.','a','a.','a@','http://','a-','1','1-','(','[url=','<a href=','h ','x. ','@','a@b.','é','\u200b','www','//','a.com','a.b/','.','mailto:','ftp://', 'WWW.A', 'xn--', 'a:b@', '1.2.3.']
const fs: Record<string, (t: string) => unknown> = { findLinks, languageOf, order: (t) => orderNumberCandidates({ title: '', body: t }), normalizeText }
for (const [name, f] of Object.entries(fs)) { f('warm www.x.example text'); 
  const r = parts.map((p) => { const t = p.repeat(Math.ceil(3000/p.length)).slice(0,3000); const s = performance.now(); f(t); return [p, performance.now()-s] as const }).sort((a,b)=>b[1]-a[1]).slice(0,5)
  console.log(name, r.map(([p,ms])=>`${JSON.stringify(p)} ${ms.toFixed(1)}`).join('  ')) }
