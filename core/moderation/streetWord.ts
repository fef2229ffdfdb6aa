const streetWords = new Set(
  'street st road rd lane ln avenue ave drive close court crescent terrace place square way str weg gasse allee platz strasse rue boulevard chemin impasse calle avenida paseo plaza camino ul ulica al via viale piazza corso rua praca'.split(
    ' ',
  ),
)
const streetEnding = /(?:stra(?:ss|ß)e|str|weg|gasse|allee|platz|straat|laan|plein|gracht|kade|gatan|vagen)$/
/** A postcode, such as "AB1 2CD", needs no street. */
const postcodePart = /^\d[a-z]{2}$/
/** Whether a word is typical of street addresses: "Lane", "Lindenstraße", or the second half of a postcode. */
export const isStreetWord = (plain: string): boolean =>
  streetWords.has(plain) || streetEnding.test(plain) || postcodePart.test(plain)
