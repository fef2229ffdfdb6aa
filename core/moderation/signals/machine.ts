import { messageCode } from '../../messages/code'
import { findPhrases, phrasesOf } from '../phrases'
import { listTag } from '../plainWord'
import { hasTag, placeOf, type Reading } from '../reading'
import { placesOf, quoted, stretches, withoutOverlaps, type Signal } from '../signal'

/** Points for instructions to a program that reads reviews, or the words of one that wrote this. */
const MACHINE_POINTS = 70

const phrases = phrasesOf(
  'ignore/disregard/forget/override all/any/the/your/these? *2 previous/prior/earlier/above/former/preceding instructions/instruction/prompts/prompt/rules/directions/messages',
  'forget/ignore/disregard everything/all you/that/above/before',
  'you are now in? a/an/my/the? *2 assistant/mode/model/bot/moderator/admin/administrator',
  'mark/rate/classify/label/flag/treat this/every/all/the/these *2 review/reviews/entry/text/comment/message *3 as genuine/verified/approved/positive/negative/trusted/safe/spam/ham/legitimate',
  'must/should be approved/published/verified with/and/as/first',
  'do not flag/moderate/filter this/the',
  'as an/a ai/language model/assistant/language',
  'respond/answer/reply only with the? *1 word/label/ok/okay/yes/json/approved/genuine',
  'output/reveal the/your? *2 list/prompt/instructions/emails/addresses/label/json',
  'summarise/summarize/summarising/summarizing this/these/all/the *2 review/reviews/shop/product/store',
  'system/developer message/prompt/note/override',
  'here is a/your *1 positive/glowing/enthusiastic/short *2 review/testimonial for/about/that/you',
  'insert product/name/shop/company/brand *2 here',
  'ignoriere/vergiss/missachte alle/alles/die? *2 vorherigen/bisherigen/fruheren/obigen anweisungen/befehle/anweisung/regeln',
  'setze/setz/markiere *3 auf? verifiziert/gepruft/genehmigt/true/spam/verified',
  'antworte/antworten sie? nur mit ok/ja/nein',
  'sehr geehrtes/liebes/hallo system',
  'als ki/sprachmodell',
  'ignore/ignorez/oublie/oubliez les/toutes/tes? *2 consignes/instructions precedentes/anterieures',
  'ignora/olvida/ignore/esquece las/le/as/todas/tutte? *2 instrucciones/istruzioni/instrucoes anteriores/precedenti/previas',
  'negeer/vergeet alle/de? *2 opdrachten/instructies/instructie',
  'zignoruj/zapomnij poprzednie/wszystkie? *1 polecenia/instrukcje',
  'strunta/ignorera/ignorer i? tidigare/tidligere instruktioner/instruktionerne',
  'забудь/игнорируи/игнорируй предыдущие/прошлые/все *1 инструкции/указания',
)

/** Forms that only programs use. */
const forms = [
  /(?:^|\n)\s*#{2,}\s*(?:instruction|response|system|input|task|user|assistant)\b\s*:?/giu,
  /(?:^|\n)\s*(?:assistant|developer)\s*:\s+\S/giu,
  /<\|[a-z_]{2,20}\|>|\[\/?(?:INST|SYS|SYSTEM)\]|<\/?(?:system|instructions?|prompt)>/giu,
  /\b(?:spam|verified|approved|is_spam|genuine|flagged|status)\s*[=:]\s*["']?(?:true|false|yes|no|0|1|approved|genuine|ham)\b/giu,
  /\b(?:moderation|review|spam)[ -](?:bot|assistant|ai|model|filter)\b\s*[,:]/giu,
]
const telltale = listTag([
  'system', 'assistant', 'instruction', 'instructions', 'moderator', 'prompt', 'spam', 'verified', 'inst', 'response', 'developer', 'moderation', 'task',
]) // oxfmt-ignore

/** Instructions to a program, in place of a review. */
export function machineSignal(reading: Reading): Signal | null {
  const places = withoutOverlaps([
    ...findPhrases(reading, phrases).map(placeOf),
    ...(hasTag(reading, telltale)
      ? placesOf(reading, (text) => forms.flatMap((form) => stretches(text, form)))
      : []),
  ])
  if (places.length === 0) return null
  return {
    kind: 'machine',
    points: MACHINE_POINTS,
    headline: messageCode('signal.machine'),
    detail: quoted(reading, places),
    places,
  }
}
