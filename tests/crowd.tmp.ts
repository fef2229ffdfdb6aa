import { ShopMemory } from '../core/moderation/memory/shopMemory'
import { weigh } from '../core/moderation/weigh'
import { startingModel } from '../core/moderation/wording/starting'
import { variedSentence as sentence } from './support/submissions'
const memory = new ShopMemory()
for (let d = 0; d < 160; d++)
  memory.meet({
    id: 'h' + d,
    title: '',
    body: 'w' + d + ' x' + d * 7 + ' y' + d * 3,
    rating: [500, 400, 500, 300][d % 4]!,
    authorName: 'Ann Other',
    authorEmail: `ann${d}@post.example`,
    ip: '',
    receivedAt: new Date(Date.now() - (160 - d) * 4 * 86400000).toISOString(),
    product: 'P',
    fillSeconds: 60,
  })
for (let i = 0; i < 40; i++) {
  const { arrival, past } = memory.meet({
    id: String(i),
    title: '',
    body: i % 4 === 0 ? `${sentence(i)} I live at ${i + 1} Old Mill Lane.` : sentence(i),
    rating: 100 * ((i % 5) + 1),
    authorName: `Visitor ${String(i).padStart(2, '0')}`,
    authorEmail: `visitor${i}@${['post', 'mail', 'letter', 'box'][i % 4]}.example`,
    ip: '::1',
    receivedAt: new Date(Date.now() + i * 50).toISOString(),
    product: ['HK-1', 'SM-L', 'GL-L'][i % 3]!,
    fillSeconds: 60,
  })
  console.log(
    i,
    sentence(i),
    weigh({
      arrival,
      past,
      model: startingModel(),
      ownDomains: [],
      knownOrderKeys: [],
      tokenGood: true,
      trapSprung: false,
    })
      .map((s) => s.kind + ' ' + s.points + ' ' + s.detail)
      .join(' | '),
  )
}
