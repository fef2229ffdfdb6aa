export const products = {
  'HK-2': 'Hive kit, two boxes',
  'HK-1': 'Hive kit, one box',
  'ST-T': 'Tall suit',
  'ST-C': 'Children’s suit',
  'SM-L': 'Copper smoker, large',
  'EX-4': 'Extractor, four frames',
  'FR-50': 'Frames, box of 50',
  'FD-W': 'Winter feed',
  'CR-BW': 'Beginners’ weekend',
  'GL-L': 'Leather gloves',
  'QM-1': 'Queen marking kit',
  'NB-5': 'Nuc box',
}
