const svg = (background: string, drawing: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="256" height="256" viewBox="0 0 64 64"><rect width="64" height="64" fill="${background}"/>${drawing}</svg>`

const box = (x: number, y: number, width: number, height: number, fill: string) =>
  `<rect x="${x}" y="${y}" width="${width}" height="${height}" rx="1.5" fill="${fill}"/>`
const line = (path: string, stroke: string, width = 2.5) =>
  `<path d="${path}" fill="none" stroke="${stroke}" stroke-width="${width}" stroke-linecap="round" stroke-linejoin="round"/>`
const shape = (path: string, fill: string) => `<path d="${path}" fill="${fill}"/>`
const disc = (x: number, y: number, radius: number, fill: string) =>
  `<circle cx="${x}" cy="${y}" r="${radius}" fill="${fill}"/>`

const wood = '#d9a55a'
const dark = '#5b4630'
const wax = '#f0c95c'
const leaf = '#6d8a5a'
const steel = '#8f9aa0'

const hive = (boxes: number) =>
  box(12, 50 - boxes * 14 - 6, 40, 6, dark) +
  Array.from({ length: boxes }, (_, i) => box(15, 36 - i * 14 + 8, 34, 13, wood)).join('') +
  box(26, 51, 12, 3, '#2f2418')
const suit = (height: number) =>
  disc(32, 58 - height, 7, '#e9e2d2') +
  shape(`M22 ${66 - height}h20l5 20-6 2-3-9v${height - 24}H26V${79 - height}l-3 9-6-2z`, '#f7f3e8') +
  line(`M32 ${68 - height}v${height - 16}`, '#c7bda4', 1.2)

/** Drawings of products and people. */
export const pictures = {
  products: {
    'HK-2': svg('#f4ead3', hive(2)),
    'HK-1': svg('#f4ead3', hive(1)),
    'ST-T': svg('#dfe8e2', suit(50)),
    'ST-C': svg('#f6e3cf', suit(38)),
    'SM-L': svg(
      '#e6e2dc',
      box(24, 28, 18, 26, '#b87333') +
        shape('M24 28h18l-9-12z', '#c98546') +
        line('M20 34h-8v14h8', dark) +
        line('M44 14c4-4 0-6 4-10', steel),
    ),
    'EX-4': svg(
      '#e1e7ea',
      box(16, 18, 32, 34, steel) +
        box(16, 18, 32, 5, '#6f7a80') +
        line('M32 18V8h12', dark) +
        line('M22 52l-4 8M42 52l4 8', dark),
    ),
    'FR-50': svg('#f4ead3', line('M12 18h40M16 18v32h32V18', wood, 4) + box(19, 22, 26, 25, wax)),
    'FD-W': svg(
      '#dde6ee',
      box(20, 22, 24, 32, '#fbfaf6') + box(20, 16, 24, 7, '#3f6088') + disc(32, 39, 7, wax),
    ),
    'FD-S': svg('#e4eedd', box(20, 22, 24, 32, '#fbfaf6') + box(20, 16, 24, 7, leaf) + disc(32, 39, 7, wax)),
    'CR-BW': svg(
      '#e9efdf',
      disc(20, 26, 6, '#c98f6b') +
        disc(44, 26, 6, '#8a5a3c') +
        shape('M10 52c0-14 20-14 20 0zM34 52c0-14 20-14 20 0z', leaf) +
        box(27, 40, 10, 14, wood),
    ),
    'CR-AQ': svg('#efe3ea', disc(32, 36, 10, wax) + shape('M22 22l5 6 5-9 5 9 5-6-2 11H24z', '#c9822b')),
    'GL-L': svg('#efe4d4', shape('M22 56V30l-6-8 4-4 6 7V10h5v14h3V8h5v16h3V12h4v30l-6 14z', '#b07a45')),
    'QM-1': svg('#efe3ea', line('M18 50L44 18', dark, 4) + disc(46, 16, 4, '#cf3f3f') + disc(22, 20, 8, wax)),
    'NB-5': svg(
      '#f4ead3',
      box(16, 26, 32, 24, wood) +
        box(14, 20, 36, 6, dark) +
        line('M24 30v16M32 30v16M40 30v16', '#b57b2c', 1.5),
    ),
    'VL-H': svg(
      '#e3ece9',
      shape('M8 28h48l-10-4c-2-12-26-12-28 0z', wood) + shape('M18 28h28l4 26H14z', '#5b6a6655'),
    ),
    'BT-S': svg(
      '#e6e2dc',
      line('M20 54V18', steel, 5) +
        line('M20 18h-6', steel, 4) +
        box(36, 10, 8, 22, wood) +
        line('M36 34v18M40 34v20M44 34v18', dark, 1.6),
    ),
    'HN-J': svg(
      '#fbf0cf',
      box(14, 24, 16, 26, '#e0a526') +
        box(14, 19, 16, 5, dark) +
        box(34, 24, 16, 26, '#c9822b') +
        box(34, 19, 16, 5, dark),
    ),
    'WX-M': svg(
      '#ece7db',
      box(14, 30, 36, 20, steel) +
        box(18, 24, 28, 8, wax) +
        line('M20 18c3-4-2-5 1-9M32 18c3-4-2-5 1-9M44 18c3-4-2-5 1-9', dark, 1.5),
    ),
  } as Record<string, string>,
  portraits: {
    agnes: face('#e8d9c6', '#f0c7a4', '#8c8c8c', 'bun', '#7c4a5e'),
    osric: face('#dbe4d4', '#d9a07a', '#4a3524', 'cap', '#4f6b3f'),
    benedicta: face('#dfe3ec', '#efcdb2', '#3c4658', 'long', '#3c4658'),
    ravi: face('#efe0cf', '#a5714a', '#221a16', 'short', '#f7f3ea'),
    lowri: face('#f3e0d5', '#f3d2b8', '#a8512c', 'long', '#2f6b6b'),
    magnus: face('#e3e6e8', '#e7bd97', '#d8c08a', 'short', '#33506b'),
    noor: face('#efe6d2', '#c68f65', '#2a1d18', 'bun', '#b0563a'),
  } as Record<string, string>,
}

function face(
  background: string,
  skin: string,
  hair: string,
  cut: 'short' | 'long' | 'bun' | 'cap',
  clothes: string,
): string {
  const hairs = {
    short: shape('M18 27c0-18 28-18 28 0-3-7-25-7-28 0z', hair),
    long: shape('M16 46V28c0-20 32-20 32 0v18h-6V28H22v18z', hair),
    bun: shape('M18 28c0-18 28-18 28 0-3-8-25-8-28 0z', hair) + disc(32, 10, 5, hair),
    cap: shape('M17 24c0-16 30-16 30 0z', hair) + box(40, 22, 14, 3, hair),
  }
  return svg(
    background,
    shape('M10 64c0-24 44-24 44 0z', clothes) +
      box(27, 36, 10, 10, skin) +
      (cut === 'long' ? hairs.long : '') +
      shape('M20 27c0-15 24-15 24 0 0 20-24 20-24 0z', skin) +
      (cut === 'long' ? shape('M20 24c2-12 22-12 24 0-6-5-18-5-24 0z', hair) : hairs[cut]) +
      disc(27, 28, 1.4, dark) +
      disc(37, 28, 1.4, dark) +
      line('M28 35c2 2 6 2 8 0', dark, 1.3),
  )
}
