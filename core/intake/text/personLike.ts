const notNames = new Set(
  `best thanks thank regards cheers sincerely yours kind warm love hi hello dear hey good great super the this that my our we i you
  he she it they they're and but for from to on at in with very really just also customer client review reviews rating subject phone
  call called note notes mail email date sent monday tuesday wednesday thursday friday saturday sunday today yesterday order product
  question answer reply viele liebe grüße gruß danke vielen hallo guten tag mit freundlichen sehr der die das und ich wir merci bonjour
  cordialement bien le la les un une je nous c'est très saludos gracias hola un el los las muy yo es pozdrawiam dziękuję cześć dzień
  saluti grazie ciao il lo groeten bedankt ps rating bewertung anruf telefon kunde kundin cliente klient klientka message nachricht
  everything nothing perfect excellent wonderful amazing fantastic lovely brilliant superb recommended highly absolutely delivery shop
  groetjes groeten groet saludo cordialement amicalement saluti distinti lg vg mfg shopping todo list reminder wishes sent
  sms chat texting anruf telefonat karte postkarte brief notiz appel llamada telefonata biglietto kartka
  betyg karakter nota voto ocena score stars cijfer
  due total invoice amount rechnung facture factura fattura
  team support staff again never always would will only after before when what how why`
    .split(/\s+/)
    .filter(Boolean),
)

/** Lower-case parts of names: "van", "de la". */
const small = new Set('van von der den de del della di da du la le los dos e y zu ten ter'.split(' '))

/**
 * Whether a few words look like a person's name: one to four capitalised words, initials and particles
 * allowed, none of them a common first or last word of letters. Two people joined by "and" count as one name.
 */
export function looksLikeName(text: string): boolean {
  const people = text.trim().split(/\s+(?:&|and|und|et|y|e|i|en)\s+/u)
  if (people.length === 2) return people.every(looksLikeOneName)
  return looksLikeOneName(text)
}

function looksLikeOneName(text: string): boolean {
  const words = text.trim().split(/\s+/)
  if (words.length < 1 || words.length > 5 || text.length > 60) return false
  const carrying = words.filter((word) => !small.has(word))
  return (
    carrying.length >= 1 &&
    carrying.length <= 4 &&
    carrying.every((word) => /^\p{Lu}(?:[\p{L}\p{M}'’-]*\.?|\.)$/u.test(word)) &&
    !carrying.some((word) => notNames.has(word.toLowerCase().replace(/\.$/, '')))
  )
}
