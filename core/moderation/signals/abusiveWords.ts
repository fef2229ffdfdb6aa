import { normalizeText } from '../../formats/normalizeText'

/** Words, parted by spaces, normalized. */
const set = (words: string) => normalizeText(words).trim().split(/\s+/u)

/**
 * Insults by language: a slur in one language can be a preposition in another. Mild words that angry customers use
 * for things ("crap", "rubbish", "Mist") are left out, and words for animals. The list is our own, because a public
 * one counts Hungarian beef and Turkish armchairs among the insults.
 */
export const abusive: Record<string, string[]> = {
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
  da: set(`fisse kaelling kaellinger pikhoved roevhul rovhul narrov skiderik`),
  no: set(`faen fitte fitter horer kuksuger drittsekk drittsekker rasshol jaevla`),
  fi: set(`vittu vitun paska paskiainen huora huorat mulkku perkele perkeleen kusipaa kusipaat runkkari`),
  cs: set(`kurva kurvy kokot kokoti curak curaci zmrd zmrdi hajzl  hajzlove`),
  hu: set(`fasz faszfej kurva kurvak picsa picsaba kocsog buzi szarhazi rohadek`),
  ro: set(`pizda muie cacat futut futu`),
  tr: set(`orospu orospunun serefsiz serefsizler gavat yavsak siktir amcik ibne gotveren`),
  el: set(`μαλακα μαλακας μαλακες πουτανα καριολα καριολης αρχιδι γαμημενο γαμημενοι`),
  ru: set(
    `блять блядь бляди сука суки хуй хуйня пизда пиздец ебаный ебаные ебать мудак мудаки пидор пидоры гандон гнида твари`,
  ),
  uk: set(`блядь сука суки хуй хуйня пизда йобаний йобані мудак мудаки підор гнида курва`),
  ar: set(`حقير شرموطة عاهرة قحبة`),
}
/** Insults in any language, because no other language here has such a word. */
export const anywhere = new Set(
  set(`fuck fucks fucked fucking fucker motherfucker asshole assholes arschloch hurensohn wichser fotze connard connards
    encule gilipollas hijoputa vaffanculo orospu serefsiz kusipaa faszfej kokot zmrd μαλακας блядь хуй пизда пиздец мудак شرموطة عاهرة stronzo stronzi klootzak kurwa skurwysyn bullshit nigger niggers faggot faggots cunt`),
)

/** Common words that identify a language. */
export const everyday: Record<string, string[]> = {
  en: set('the and is was are this that with for you your they it of to my we not have'),
  de: set('der die das und ist war nicht ein eine mit ich sie wir auf den dem fur zu von'),
  fr: set('le la les et est etait pas un une avec je vous nous des du pour que dans ce'),
  es: set('el la los las y es era no un una con yo que de para por muy se lo'),
  it: set('il lo la gli e era non un una con che di per molto sono mi ci questo'),
  nl: set('de het een en is was niet met ik van voor dat die zijn wij ze op'),
  pl: set('i w z na nie jest to byl sie do za co jak po ale'),
  pt: set('o a os as e era nao um uma com que de para por muito em do da'),
  da: set('og det er var ikke en et med jeg som pa for at vi den de til fra'),
  no: set('og det er var ikke en et med jeg som pa for at vi den de til fra veldig'),
  fi: set('ja on ei se oli mutta kun niin mina ole tama vain myos hyvin'),
  cs: set('a je se na v to neni byl bylo ale jsem s za co jak si uz'),
  hu: set('a az es nem is egy hogy volt van de meg csak ez mert'),
  ro: set('si este nu un o cu la de in am pe a fost mai care'),
  tr: set('ve bir bu cok icin de da ne ama gibi daha ile degil siz'),
  el: set('και το η ο δεν ειναι με σε για την που τα ηταν'),
  ru: set('и в не на я что с это как но был было вы мне у'),
  uk: set('і в не на я що з це як але був було ви мені у та'),
  ar: set('في من على لا هذا أن كان مع ما و عن أنا'),
  sv: set('och det ar var inte en ett med jag som pa for att de'),
}
