import { wordingTexts } from '../../cli/trainWording'
import type { Chance } from './chance'

/* Texts of customers by chains of words from the honest texts of the wording model, and texts of attackers. */

const END = ''
const chains = new Map<string, string[]>()
const beginnings: string[] = []
for (const { body } of wordingTexts().filter((one) => one.verdict === 'honest' && one.language === 'en')) {
  const words = body.split(/\s+/)
  beginnings.push(words.slice(0, 2).join(' '))
  for (let i = 0; i + 1 < words.length; i++) {
    const key = `${words[i]} ${words[i + 1]}`
    chains.set(key, [...(chains.get(key) ?? []), words[i + 2] ?? END])
    // Most pairs occur once, so that chains of pairs alone would copy whole texts.
    chains.set(words[i + 1]!, [...(chains.get(words[i + 1]!) ?? []), words[i + 2] ?? END])
  }
}

const short = ['Great!', 'Excellent as ever.', 'Very happy', 'All good, thank you', 'ok', 'Lovely', 'Would buy again', 'Good', 'Nice shop', 'Fast delivery', 'As described', 'Love it', 'perfect', 'Thank you so much!', 'fine'] // oxfmt-ignore

export function customersText(chance: Chance): string {
  if (chance.isTrue(0.2)) return chance.pick(short)
  const words = chance.pick(beginnings).split(' ')
  const most = 6 + chance.below(40)
  while (words.length < most) {
    const pair = `${words.at(-2)} ${words.at(-1)}`
    const following = chains.get(chance.isTrue(0.5) ? pair : words.at(-1)!) ?? chains.get(pair)
    const next = following && chance.pick(following)
    if (!next) break
    words.push(next)
  }
  return words.join(' ')
}

/** Those of a grudge: what many write of their own, each in a few words. */
export const grudge = ['Shame on you.', 'Never buying here again', 'WORST SHOP EVER', 'scam scam scam', 'Everything arrived broken. Avoid.', 'Saw the video. Disgusting.', 'Not been here myself but I know what they did.', 'rude staff, overpriced, poor quality', 'boycott', 'The owner laughed at me when I asked.', 'Give them one star everyone', 'Terrible terrible terrible', 'I ordered twice and nothing ever came, thieves', 'horrible people', 'how are they still open', 'crooks', 'They treat animals badly, look it up', 'zero stars if I could', 'Do not support this place!!!', 'My friend got sick from it', 'Liars.', 'They stole the design from a friend of mine', 'avoid avoid', 'what a joke of a business', 'You will regret what you did', 'one star for the lies', 'we all know now', 'closing down soon I hope', 'Read the news about them before you buy', 'ugly things and uglier owners'] // oxfmt-ignore

/** Written by one hand for money, with words exchanged. */
const slots = [
  ['I am', 'We are', 'I was'],
  ['so happy with', 'very pleased with', 'totally satisfied by', 'really impressed by'],
  ['this shop', 'this store', 'my order', 'their service'],
  ['and the quality is', 'and the team is', 'and everything was', 'the delivery was'],
  ['amazing', 'outstanding', 'the best I had', 'top notch', 'simply great'],
  ['highly recommended to', 'I recommend it to', 'five stars from', 'a must for'],
  ['everyone', 'all my friends', 'every family', 'anyone who wants quality'],
]
export const boughtPraise = (chance: Chance) => slots.map((some) => chance.pick(some)).join(' ')
