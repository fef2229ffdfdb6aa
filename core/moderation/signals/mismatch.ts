import { messageCode } from '../../messages/code'
import { listTag } from '../plainWord'
import { placeOf, type Reading, type ReadWord } from '../reading'
import { quoted, type Signal } from '../signal'

/** People confuse scales, so this alone is far from holding a review back. */
const MISMATCH_POINTS = 24
/** Hundredths of five. */
const TOP_FROM = 450
const BOTTOM_TO = 150
const FEWEST_STRONG_WORDS = 2

const set = (words: string) => listTag(words.split(/\s+/u))

/** Words of strong praise, normalized, in several languages. */
const praise =
  set(`excellent amazing perfect perfectly wonderful superb fantastic brilliant awesome outstanding
  delicious flawless loved love best gorgeous exceptional delighted
  ausgezeichnet hervorragend perfekt wunderbar fantastisch grossartig toll spitze klasse traumhaft begeistert
  genial liebe beste bester bestes ausgezeichnete hervorragende perfekte
  parfait parfaite merveilleux merveilleuse superbe fantastique genial geniale magnifique adore meilleur meilleure ravi ravie
  excelente perfecto perfecta maravilloso maravillosa fantastico fantastica genial increible encanta mejor estupendo estupenda
  eccellente perfetto perfetta meraviglioso meravigliosa splendido splendida ottimo ottima adoro migliore
  uitstekend geweldig perfect heerlijk prachtig swietny swietna doskonaly wspanialy rewelacja excelente perfeito otimo
  underbar fantastisk perfekt`)

/** Words of strong criticism, normalized, in several languages. */
const blame =
  set(`terrible awful horrible worst useless broken disgusting rubbish garbage scam fraud waste appalling
  dreadful pathetic ruined disappointed disappointing avoid never horrendous junk unusable
  schrecklich furchtbar schlecht schlechteste schlechtester katastrophe betrug muell unbrauchbar kaputt enttaeuscht enttauscht
  mull abzocke ekelhaft mies miserabel frechheit nie
  horrible nul nulle affreux catastrophe arnaque decu decue casse pire inutilisable degoutant honte jamais
  terrible horrible pesimo pesima peor estafa basura roto rota decepcion decepcionado inutil asco verguenza nunca
  terribile orribile pessimo pessima peggiore truffa rotto rotta deluso delusa schifo inutile vergogna mai
  vreselijk slecht slechtste oplichting kapot teleurgesteld waardeloos okropny fatalny najgorszy oszustwo zepsuty
  pessimo horrivel burla avariado desilusao hemsk bluff trasig besviken`)

const negations = set(`not no never nothing hardly isnt wasnt arent dont didnt cant cannot without far less
  nicht kein keine keinen keiner nie kaum ohne ne pas sans rien peu moins no sin nada non senza niente niet geen nie bez nao inte`)

/** A rating that contradicts the text: the highest with strong criticism, or the lowest with strong praise. */
export function mismatchSignal(reading: Reading, rating: number | null): Signal | null {
  if (rating === null || (rating > BOTTOM_TO && rating < TOP_FROM)) return null
  const praised = plainly(reading, praise)
  const blamed = plainly(reading, blame)
  const [against, along] = rating >= TOP_FROM ? [blamed, praised] : [praised, blamed]
  if (against.length < FEWEST_STRONG_WORDS || along.length > 0) return null
  const places = against.map(placeOf)
  return {
    kind: 'mismatch',
    points: MISMATCH_POINTS,
    headline: messageCode('signal.mismatch', { marks: rating / 100 }),
    detail: quoted(reading, places),
    places,
  }
}

/** Words of a set without a negation in the two words before. */
function plainly({ words, tags }: Reading, of: number): ReadWord[] {
  if ((tags & of) === 0) return []
  return words.filter(
    (word, i) =>
      word.tags & of && !words.slice(Math.max(0, i - 2), i).some((before) => before.tags & negations),
  )
}
