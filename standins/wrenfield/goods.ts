/** The goods on the shop's pages. */
export interface Good {
  sku: string
  name: string
  price: string
  words: string
}

export const goods: Good[] = [
  ['HK-2', 'Hive kit, two boxes', '£148', 'Cedar, cut in our shed, with nails and a booklet.'],
  ['HK-1', 'Hive kit, one box', '£96', 'The same cedar, for a first colony on a balcony.'],
  ['ST-T', 'Tall suit', '£82', 'Cotton, with long arms and a veil that does not fog.'],
  ['ST-C', 'Children’s suit', '£48', 'From six years, with room to grow.'],
  ['SM-L', 'Copper smoker, large', '£39', 'Burns for an hour on a handful of hessian.'],
  ['EX-4', 'Extractor, four frames', '£265', 'Steel drum, hand crank, quiet bearings.'],
  ['FR-50', 'Frames, box of 50', '£54', 'Flat packed, with pins.'],
  ['FD-W', 'Winter feed', '£18', 'Five jars of fondant that keeps soft.'],
  ['CR-BW', 'Beginners’ weekend', '£120', 'Two days, two hives, eight people.'],
  ['GL-L', 'Leather gloves', '£24', 'Goatskin, with long cuffs.'],
  ['QM-1', 'Queen marking kit', '£14', 'A cage, a pen, and steady hands not included.'],
  ['NB-5', 'Nuc box', '£32', 'Five frames, with a handle that holds.'],
  ['VL-H', 'Hat and veil', '£22', 'For those who only want to look.'],
  ['BT-S', 'Brush and hive tool', '£12', 'Horsehair and hardened steel.'],
  ['HN-J', 'Honey jars, 48', '£36', 'Clear glass, with lids that seal.'],
  ['WX-M', 'Wax melter', '£78', 'Works on a sunny day.'],
  ['FD-S', 'Spring feed', '£16', 'Syrup, ready to pour.'],
  ['CR-AQ', 'Queen rearing day', '£85', 'For the third year and after.'],
].map(([sku, name, price, words]) => ({ sku, name, price, words }) as Good)

/** The address of its page. */
export const pathOf = ({ sku }: Good): string => `/goods/${sku.toLowerCase()}`
