import { normalizeText } from '../../formats/normalizeText'
import type { Words } from '../signal'

/** What unwanted messages offer or want. */
export const pitches = [
  'loan',
  'crypto',
  'recovery',
  'casino',
  'pills',
  'service',
  'job',
  'adult',
  'occult',
  'phishing',
  'threat',
  'campaign',
] as const
type Pitch = (typeof pitches)[number]

/**
 * Beginnings of words, without capitals and accents, parted by spaces; a hyphen within stands for a space. They only
 * name what the model has found to be spam and give no points: a customer's word about a loan is harmless.
 */
const beginnings: Record<Pitch, string> = {
  loan: 'loan lend borrow collateral credit-score kredit darlehen leihe verleiht schulden zinsen pret-entre pretes credit-sans prestam presta-dinero deudas aval morosos prestit finanziament pagatori emprestim juros nome-sujo lening leende onderpand pozycz kredyt zadluz займ заем кредит залог privatlan lan-fran ranta kredi borc faiz pujck dluznik urok imprumut rau-platnic kolcson adosok δανει laina laino maksuhairi позик قرض قروض 贷 借款 融資 대출',
  crypto:
    'crypto bitcoin coin forex trading trader trade invest broker devisen handelsprogramm krypto anlage rendite boerse kurse gewinne courtier cours-en-bourse cryptomonnaie invert criptomoneda divisas guadagn criptovalut robot robo lucro-diario moedas-digitais belegg handelaar winst kryptowalut zysk inwestycj биткоин криптовал бирж торгует прибыл robotten roboten handlar kripto islemler obchoduje krypt tranzactioneaza kereskedik ρομποτ επενδυ robotti криптовалют العملات تداول 数字货币 自动交易 提现 投資 自動売買 매매',
  recovery:
    'recover retrieve get-back-my stolen lost-funds hacker scammed zuruckholte zuruckgeholt zuruckgebucht wallet betrug recupere arnaque pirate-ethique estafa recuper rastreo truffat rintraccia golpe devolveu perito opgelicht teruggehaald oszuk odzyska haker обману вернул хакер lurad fick-tillbaka kaptir geri-aldi podvod ziskal recuperat atvert visszaszerez εξαπατ πηρε-πισω huija sai-bitcoin snod fik-mine ошукав повернув استعاد احتال 追回 被骗 取り戻 騙 되찾 속았',
  casino:
    'casino slot spin bet betting jackpot odds gambl poker deposit-bonus welcome-bonus freispiel automat wette sportwett quoten einzahlung tours-gratuits machines-a-sous pronostic pari parie giros tragaperra apuesta giri scommess quote-alte apostas palpites bonus gokkast voorspelling storting spinow typy zaklad вращени автомат ставк прогноз gratissnurr insattning donus kazandiran toceni rotiri porget περιστροφ φρουτακ ilmaiskierro kolikkopel обертань لفة القمار 旋转 老虎机 博彩 スピン スロット 슬롯 스핀',
  pills:
    'pill weight-loss lose-weight slim fat-burn detox erect potency viril cure herbal remedy supplement prescription tropfen abnehmen kilo bauchfett potenz rezept regime gelule maigri guerit impuissan tisane-du adelgaz baja-quince pastilla quemagras infusion gocce dimagr pillol emagre comprimid impotenc vetverbrand erectie afvall schudn tabletk potencj килограмм похуд потенц капли dropp droppar ned-tio damla kapek kapky slabe cseppel σταγονες tipoilla draber килограм كيلو القطرات 瘦 减肥 秘方 痩せ サプリ 감량',
  service:
    'seo backlink ranking rank search-engine traffic website-audit web-design followers five-star-reviews buy-reviews guest-post leads email-list marketing-agency suchmaschine bewertungen-fur angebot-fur referencement premiere-page abonnes avis-cinq buscadores opiniones-de seguidores primi-risultati recensioni-positive follower primeira-pagina avaliacoes-cinco seguidores eerste-pagina volgers wyszukiwar pozycjon obserwuj поиске подписчик отзывы-на forsta-sidan aramalarda takipci vyhledavac prima-pagina keresoben αναζητηση haussa forste-side пошуку الصفحة 首页 好评 搜索 検索に 口コミ 검색 후기-판매',
  job: 'job work-from-home earn hiring recruit per-week per-day salary vacanc passive-income heimarbeit von-zu-hause wochentlich bewerbung verdienst recrutement travail-a-domicile gagnez trabaja-desde cobra-1 plazas lavora-da-casa guadagno-subito collaborator trabalhe-em-casa vagas thuiswerk verdien praca-w-domu tygodniowo работа-на-дому работа-дома в-неделю jobba-hemifran evden-gunde haftada prace-z-domova tydne lucreaza otthoni-munka heti δουλεια-απο kotityo viikossa hjemmearbejde робота-вдома اعمل 兼职 日结 在宅で 募集 부업 모집 재택',
  adult:
    'single lonely date dating girls women-near nude naked sex hot-girl webcam meet-tonight einsame treffen frauen-aus private-bilder rencontres coquin seule-ce homme-discret chica citas-discret mujeres ragazza incontri encontros sozinha afspraak verveelde randk dziewczyn знакомств скучаю tjej-soker ensam yalnizim divka singura lany-ferfi yksinainen وحيدة 美女 约会 人妻 만날',
  occult:
    'spell psychic clairvoyant fortune-tell witch voodoo love-back curse herbalist-doctor ritual seherin zauber boser-blick bosen-blick marabout voyant desenvout envout brujo amarre vidente cartomant maestro-riporta malocchio amarracao pai-de-santo mau-olhado helderzien wrozk klatw приворот ведьм порч siar medyum buyu vedma magi vrajitoare josno μεντιουμ μαγια selvannakija loits clairvoyant ворожк приворот الروحاني جلب-الحبيب 大师 做法 霊能 祈願 무당',
  phishing:
    'your-account your-parcel your-package verify-your confirm-your customs-fee card-details suspended password bank-details ihr-paket ihr-konto ihr-bankkonto kartendaten bestatigen identitat votre-colis coordonnees-bancaires connexion-suspecte su-paquete datos-de-su su-cuenta verifique il-tuo-pacco dati-della-carta credenziali sua-encomenda dados-do-cartao valide uw-pakket kaartgegevens bankpas twoja-paczka dane-karty twoje-konto посылка данные-карты счет-заблок ditt-paket kortuppgifter kargonuz kart-bilgi vase-zasilka udaje-z-karty coletul datele-cardului csomagja kartyaadat δεμα-σας στοιχεια-της-καρτας pakettisi korttitie din-pakke kortoplys посилку данні-картки طردك بيانات-بطاق 包裹被 银行卡信息 カード情報 카드-정보',
  threat:
    'pay-me or-else otherwise-you one-star-reviews-by we-will-destroy i-know-where ransom transfer-the-money uberweisen-sie zahlen-sie schlechte-bewertungen ich-weiss-wo versez reputation-est on-sait-ou pague-500 llenaremos se-donde pagate so-dove pague-300 sei-onde betaal ik-weet zaplac wiem-gdzie zle-opin zlych-opin заплатите знаю-где плохих-отзыв betala-4 daliga-omdomen odeyin kotu-yorum zaplatte spatnych-recenz platiti-500 recenzii-proaste fizessen-szaz rossz-velemeny 差评',
  campaign:
    'vote petition boycott government party regime wake-up politic kauft-nicht unterschreibt wahlt partei regierung boycottez signez votez parti-qui no-compren firmen vota-al boicott firmate votate abaixo-assinado governo teken-de stem-zondag petycj glosujcie не-покупайте петиц голосу bojkot upprop dilekce imzala petici nenakup',
}

/** In these scripts no space tells where a word begins. */
const unspaced = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}]/u

function patternOf(list: string): RegExp {
  const parts = list.split(' ').map((part) => normalizeText(part).replaceAll('-', String.raw`\s+`))
  const anywhere = parts.filter((part) => unspaced.test(part))
  // The look behind stands before them all, so that a text is tried at the beginnings of its words alone.
  const begun = String.raw`(?<!\p{L})(?:${parts.filter((part) => !unspaced.test(part)).join('|')})`
  return new RegExp([begun, ...anywhere].join('|'), 'gu')
}

const patterns = pitches.map((pitch) => ({ pitch, pattern: patternOf(beginnings[pitch]) }))

/** A single word may be in any text; two, or a turn of several words, name a pitch. */
const LEAST_EVIDENCE = 2
const evidenceOf = (match: string) => (/\s/u.test(match) || unspaced.test(match) ? 2 : 1)

/** What a text that is spam offers or wants: the pitch with the most different words; null if none leads. */
export function pitchOf({ title, body }: Words): Pitch | null {
  const text = normalizeText(`${title}\n${body}`)
  const [first, second] = patterns
    .map(({ pitch, pattern }) => ({
      pitch,
      evidence: [...new Set(text.match(pattern))].reduce((sum, match) => sum + evidenceOf(match), 0),
    }))
    .sort((a, b) => b.evidence - a.evidence)
  return first!.evidence >= LEAST_EVIDENCE && first!.evidence > second!.evidence ? first!.pitch : null
}
