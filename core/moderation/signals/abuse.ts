import { messageCode } from '../../messages/code'
import { listTag } from '../plainWord'
import { findPhrases, phrasesOf } from '../phrases'
import { placeOf, type Reading } from '../reading'
import { quoted, withoutOverlaps, type Signal } from '../signal'

const set = (words: string) => words.trim().split(/\s+/u)

/**
 * Insults by language, normalized: a slur in one language can be a preposition in another. Mild words that
 * angry customers use for things ("crap", "rubbish", "Mist") are left out.
 */
const abusive: Record<string, string[]> = {
  en: set(`fuck fucks fucked fucking fucker fuckers motherfucker shit shits shitty shithead bullshit bitch bitches cunt cunts
    asshole assholes arsehole arseholes bastard bastards wanker wankers prick twat twats whore whores slut sluts
    faggot faggots nigger niggers retard retards retarded dickhead dickheads scumbag scumbags moron morons`),
  de: set(`arschloch arschlocher arschlöcher scheisse scheiss scheissladen scheissdreck fick ficken gefickt fotze fotzen hurensohn hurensohne
    hure huren nutte nutten wichser schlampe schlampen schwuchtel kanake kanaken neger drecksau drecksack missgeburt
    vollidiot vollidioten vollpfosten spast spasten`),
  fr: set(`merde putain connard connards connasse connasses salope salopes salaud salauds encule encules enculee pute putes
    batard batards foutre enfoire enfoires abruti abrutis`),
  es: set(`mierda puta putas puto putos hijoputa gilipollas cabron cabrones cono joder jodido maricon maricones zorra zorras
    pendejo pendejos subnormal subnormales`),
  it: set(`merda cazzo cazzi stronzo stronzi stronza puttana puttane vaffanculo coglione coglioni troia troie bastardo bastardi
    frocio minchia`),
  nl: set(`klootzak klootzakken kut hoer hoeren kanker kankerzooi lul eikels tering godverdomme mongool`),
  pl: set(
    `kurwa kurwy chuj chuje huj pierdol pierdole pierdolony jebac jebany jebane skurwysyn suka suki dupek dupki`,
  ),
  pt: set(`merda caralho puta putas filho-da-puta foder fodase cabrao cabroes paneleiro otario`),
  sv: set(`jävla javla fan skit fitta hora horor kuk idioter`),
}
/** Insults in any language, because no other language here has such a word. */
const anywhere = new Set(
  set(`fuck fucks fucked fucking fucker motherfucker asshole assholes arschloch hurensohn wichser fotze connard connards
    encule gilipollas hijoputa vaffanculo stronzo stronzi klootzak kurwa skurwysyn bullshit nigger niggers faggot faggots cunt`),
)

/** Wishes of harm to people, whatever the words around them. */
const harm = phrasesOf(
  'kys',
  'kill yourself/yourselves',
  'go hang yourself/yourselves',
  'hope/hoping/wish you/he/she/they die/rot',
  'burn in hell',
  'hope your family/kids/children *2 die/dies',
  'deserve/deserves to die',
  'you should be dead/shot/hanged',
  'bring dich/euch um',
  'verreck/verrecke/verreckt',
  'verdient den tod',
  'creve/crevez charogne/ordure/ordures',
  'va te pendre/crever',
  'ojala te/se mueras/mueran/muera',
  'matate/matense',
  'ammazzati/ammazzatevi',
  'devi/dovete morire',
  'zdechnij/zdychaj',
)

/** Common words that identify a language. */
const everyday: Record<string, string[]> = {
  en: set('the and is was are this that with for you your they it of to my we not have'),
  de: set('der die das und ist war nicht ein eine mit ich sie wir auf den dem fur zu von'),
  fr: set('le la les et est etait pas un une avec je vous nous des du pour que dans ce'),
  es: set('el la los las y es era no un una con yo que de para por muy se lo'),
  it: set('il lo la gli e era non un una con che di per molto sono mi ci questo'),
  nl: set('de het een en is was niet met ik van voor dat die zijn wij ze op'),
  pl: set('i w z na nie jest to byl sie do za co jak po ale'),
  pt: set('o a os as e era nao um uma com que de para por muito em do da'),
  sv: set('och det ar var inte en ett med jag som pa for att de'),
}

/** Insults and wishes of harm hold a review back without points, because they aren't spam. */
export function abuseSignal(reading: Reading): Signal | null {
  const { words } = reading
  const suspects = words.filter(
    ({ plain, spelt, tags }) => tags & listedTag || (spelt !== plain && listed.has(spelt)),
  )
  const wishes = findPhrases(reading, harm).map(placeOf)
  if (suspects.length + wishes.length === 0) return null
  const language = languageOf(reading)
  const own = language === null ? null : new Set(abusive[language])
  const insults = suspects
    .filter(({ plain, spelt }) =>
      [plain, spelt].some((word) => anywhere.has(word) || (own?.has(word) ?? true)),
    )
    .map(placeOf)
  const places = withoutOverlaps([...insults, ...wishes])
  if (places.length === 0) return null
  return {
    kind: 'abuse',
    points: 0,
    headline: messageCode('signal.abuse'),
    detail: quoted(reading, places),
    places,
  }
}

const listed = new Set(Object.values(abusive).flat())
const listedTag = listTag(listed)

/** The language with the most common words; null if there is no clear one. */
function languageOf({ words }: Reading): string | null {
  const counts = Object.entries(everyday)
    .map(([language, common]) => ({
      language,
      count: words.reduce((sum, { plain }) => sum + (common.includes(plain) ? 1 : 0), 0),
    }))
    .sort((a, b) => b.count - a.count)
  return counts[0]!.count > counts[1]!.count ? counts[0]!.language : null
}
