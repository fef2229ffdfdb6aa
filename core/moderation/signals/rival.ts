import { messageCode } from '../../messages/code'
import { findPhrases, labelledPhrases } from '../phrases'
import type { Reading } from '../reading'
import { placeOf } from '../reading'
import { quoted, withoutOverlaps, type Signal } from '../signal'

/** Points for each part of a pitch. Together, another shop and its better price hold a review back. */
const points = { invite: 40, code: 40, ours: 36, benefit: 34 } as const
type Part = keyof typeof points
const MOST = 80

const parts = labelledPhrases<Part>({
  /** Recommends another shop by name, or "the competition". */
  invite: [
    'go/head/switch/switched/moved/changed/turn straight/over/now? to Name',
    'buy/order/shop/get *3 from/at/with Name',
    'cheaper/better/faster/nicer/less *3 at/from/with/over Name',
    'half the? price *3 at/from/with Name',
    'check/look/search/visit/try out/up/for? Name *3 instead/cheaper/free/better/half/discount',
    'go/shop/buy/order/look/try *3 competitor/competitors/competition/rival/rivals',
    'buy/order/shop/go *2 the other shop/store/brand/supplier',
    'but/while/whereas Name Name? has/have/sells/offers/charges/does/is *6 less/cheaper/better/free/half/lower',
    'try/use/choose Name Name? *2 cheaper/better/fresher/faster/instead/half',
    'ist/sind/lieber Name Name? *2 besser/billiger/gunstiger',
    'est Name Name? *2 mieux/meilleur/moins',
    'es Name Name? *2 mejor/barato',
    'geht/gehen/kauft/kaufen/bestellt/bestellen/wechselt sie? *3 zu/bei/zum Name',
    'billiger/gunstiger/besser *3 bei Name',
    'bei Name *3 billiger/gunstiger/besser/halfte/halben',
    'bei Name Name *3 billiger/gunstiger/besser/halfte/halben',
    'kauft/kaufen/geht/gehen/bestellt/schaut sie? *3 konkurrenz/mitbewerber',
    'allez/achetez/commandez/passez *3 chez/a/sur Name',
    'moins/mieux/meilleur *3 chez Name',
    'chez Name *3 moins/moitie/mieux/meilleur',
    'allez/achetez/commandez *3 concurrence/concurrent/concurrents',
    'vayan/vaya/compren/compre/compra/pidan/pide *3 a/en Name',
    'barato/barata/mejor/mitad *3 en Name',
    'vayan/vaya/compren/compra *3 competencia',
    'andate/vai/comprate/compra/ordinate/ordina *3 da/su/al Name',
    'meno/meglio/meta *3 da Name',
    'da Name *3 meno/meta/meglio',
    'andate/andare/comprate *3 concorrenza/concorrente',
    'ga/koop/bestel *2 naar/bij Name',
    'koop/ga/bestel *3 concurrent',
    'kupujcie/kupcie/idzcie *3 konkurencji',
    'comprem/vao *3 concorrencia',
  ],
  /** A discount code. */
  code: [
    'use/enter/apply/with my/our/this/the? promo/discount/coupon/voucher? code Code',
    'use/enter/apply my/our/this? promo/discount/coupon/voucher code',
    'mit/nutzt/nutze/verwendet meinem/unserem/meinen/dem? gutscheincode/rabattcode',
    'avec/utilisez mon/notre code promo?',
    'con/usa/usen/utiliza mi/nuestro codigo',
    'con/usa/usate il? mio/nostro codice',
    'met mijn/onze kortingscode',
    'z moim/naszym kodem',
    'com o? meu/nosso codigo',
  ],
  /** The writer's own shop. */
  ours: [
    'visit/see/try/compare our/us own/online? shop/store/site/website/page/outlet/prices',
    'order/buy/shop directly? from/with us',
    'visit/compare us',
    'at/in/on our own/online? shop/store/site/website/outlet/factory',
    'bestellt/bestellen/kauft/kaufen sie? *2 bei uns',
    'bei uns im online/onlineshop/shop',
    'besucht/besuchen sie? unseren/unsere shop/onlineshop/laden/seite/webseite',
    'commandez/achetez *2 chez nous',
    'visitez/sur notre site/boutique',
    'visite/visiten/visita/en nuestra tienda/web/pagina',
    'pida/pidan/compre/compren con nosotros',
    'visita/visitate/sul il? nostro sito/negozio/shop',
    'ordinate/comprate da noi',
    'bezoek/in onze webshop/winkel/site',
  ],
  /** Its advantage, which counts only with the recommendation. */
  benefit: [
    'half the? price',
    'third/fraction of the price',
    'much/way/far/lots/lot/even cheaper/less',
    'cheaper/lower/better/best/wholesale price/prices',
    'free next/day? shipping/delivery/returns/postage',
    'ship/ships for? free',
    'next day delivery',
    'sale now/on',
    'save big/hundreds',
    ...[
      'off/discount/cheaper',
      'rabatt/billiger/gunstiger',
      'de? remise/reduction',
      'de? descuento/menos',
      'di? sconto/meno',
      'korting/goedkoper',
      'znizki/taniej',
    ].flatMap((less) =>
      ['5', '10', '15', '20', '25', '30', '40', '50', '60', '70', '80'].map(
        (figure) => `${figure} percent/per/prozent/pour/por/procent? cent/cento/ciento? ${less}`,
      ),
    ),
    'ships/ship free',
    'dollars/dollar/pounds/euros/euro/bucks less/cheaper',
    'cheaper/better/fresher/faster and cheaper/better/fresher/faster',
    'besser/billiger/gunstiger und besser/billiger/gunstiger',
    'halben/halber/halbem preis',
    'die halfte',
    'viel/deutlich/weit/wesentlich billiger/gunstiger',
    'gratis/kostenloser/kostenlose versand/lieferung',
    'versand *2 gratis/kostenlos',
    'moitie prix',
    'beaucoup/bien moins cher',
    'livraison *2 gratuite/offerte',
    'mitad de precio',
    'cuesta la mitad',
    'mucho mas barato',
    'envio *2 gratis/gratuito',
    'meta prezzo',
    'costa *2 meta/meno',
    'molto meno caro?',
    'spedizione *2 gratis/gratuita',
    'helft goedkoper',
    'veel goedkoper',
    'gratis verzending/bezorging',
    'polowe taniej/tansze',
    'darmowa dostawa',
  ],
})

/** Recommends another shop, with its advantage, a discount code, or as the writer's own. */
export function rivalSignal(reading: Reading): Signal | null {
  const found = findPhrases(reading, parts)
  const there = [...new Set(found.map(({ label }) => label))]
  // Customers compare prices, so a better price alone is no signal.
  if (!there.some((part) => part !== 'benefit')) return null
  const places = withoutOverlaps(found.map(placeOf))
  return {
    kind: 'rival',
    points: Math.min(
      MOST,
      there.reduce((sum, part) => sum + points[part], 0),
    ),
    headline: messageCode('signal.rival'),
    detail: quoted(reading, places),
    places,
  }
}
