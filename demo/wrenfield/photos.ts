import type { ReviewStory } from '../story'

const scene = (light: string, shade: string, things: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="600" height="450" viewBox="0 0 600 450"><defs>
  <linearGradient id="g" x1="0" y1="0" x2="0.4" y2="1"><stop offset="0" stop-color="${light}"/><stop offset="1" stop-color="${shade}"/></linearGradient>
  <linearGradient id="w" x1="0" y1="0" x2="1" y2="0.3"><stop offset="0" stop-color="#e3b974"/><stop offset="1" stop-color="#b07e3c"/></linearGradient>
  <linearGradient id="m" x1="0" y1="0" x2="1" y2="0"><stop offset="0" stop-color="#8b5a2b"/><stop offset=".45" stop-color="#e6b07a"/><stop offset="1" stop-color="#7a4a20"/></linearGradient>
  <radialGradient id="l" cx=".3" cy=".2" r=".9"><stop offset="0" stop-color="#fff" stop-opacity=".55"/><stop offset="1" stop-color="#000" stop-opacity=".3"/></radialGradient></defs>
  <rect width="600" height="450" fill="url(#g)"/>${things}<rect width="600" height="450" fill="url(#l)"/></svg>`

const plank = (x: number, y: number, width: number, height: number, fill = 'url(#w)') =>
  `<rect x="${x}" y="${y}" width="${width}" height="${height}" rx="3" fill="${fill}"/><path d="M${x + 8} ${y + height * 0.35}q${width / 2} ${height * 0.15} ${width - 16} 0M${x + 8} ${y + height * 0.7}q${width / 3} -${height * 0.1} ${width - 16} 0" stroke="#8a5f2a" stroke-width="1.4" fill="none" opacity=".5"/>`
const shadow = (x: number, y: number, width: number) =>
  `<ellipse cx="${x}" cy="${y}" rx="${width}" ry="16" fill="#000" opacity=".28"/>`
const grass = Array.from(
  { length: 90 },
  (_, i) =>
    `<path d="M${(i * 73) % 600} ${300 + ((i * 37) % 150)}q4 -22 ${(i % 5) - 2} -34" stroke="#3f6b35" stroke-width="3" fill="none" opacity=".7"/>`,
).join('')
const tiles = Array.from(
  { length: 40 },
  (_, i) =>
    `<rect x="${(i % 8) * 76}" y="${250 + Math.floor(i / 8) * 44}" width="73" height="41" fill="${i % 3 ? '#c9beb0' : '#bfb3a3'}"/>`,
).join('')

const hiveInTheGarden = scene(
  '#bcd7ea',
  '#7fa36a',
  `<rect y="290" width="600" height="160" fill="#5f8a4a"/>${grass}<circle cx="90" cy="190" r="95" fill="#4d7a45"/><circle cx="520" cy="210" r="110" fill="#567f4b"/>${shadow(310, 400, 150)}${plank(205, 300, 210, 92)}${plank(205, 208, 210, 88)}<rect x="190" y="178" width="240" height="34" rx="4" fill="#7a6c5e"/><rect x="265" y="376" width="90" height="10" rx="5" fill="#2b2014"/>`,
)
const onTheFloor = scene(
  '#e9e2d8',
  '#b5a795',
  `${tiles}${shadow(300, 390, 240)}${plank(60, 330, 300, 34)}${plank(110, 296, 270, 32)}${plank(400, 250, 44, 150)}${plank(452, 262, 44, 140)}<path d="M330 410l60 14" stroke="#5c666c" stroke-width="9" stroke-linecap="round"/><rect x="380" y="410" width="40" height="24" rx="6" fill="#3d474d"/>`,
)
const namedFrames = scene(
  '#efe6d6',
  '#a98f6c',
  `${shadow(300, 400, 250)}${[0, 1, 2, 3].map((i) => `${plank(70 + i * 122, 90, 104, 18)}${plank(78 + i * 122, 108, 12, 270)}${plank(154 + i * 122, 108, 12, 270)}${plank(78 + i * 122, 366, 88, 12)}<path d="M${98 + i * 122} 101q10 -10 18 0t18 -1t14 1" stroke="#334f7a" stroke-width="3" fill="none"/>`).join('')}`,
)
const smoker = scene(
  '#dfe7ea',
  '#8ba08a',
  `${grass}${shadow(300, 392, 160)}<rect x="230" y="180" width="150" height="206" rx="10" fill="url(#m)"/><path d="M230 184q75 -120 150 0z" fill="#9a6533"/><path d="M352 132l60 -34 10 20 -58 34z" fill="#8b5a2b"/><rect x="160" y="214" width="66" height="136" rx="8" fill="#5b3b22"/><path d="M420 96q30 -40 8 -80M436 92q44 -30 34 -84" stroke="#fff" stroke-width="12" opacity=".55" fill="none"/>`,
)
const splitFrame = scene(
  '#f0ebe2',
  '#b9a88f',
  `${shadow(300, 380, 240)}${plank(80, 150, 440, 46)}<path d="M270 146l16 22 -10 10 18 22" stroke="#3a2a17" stroke-width="6" fill="none"/>${plank(96, 196, 34, 170)}${plank(470, 196, 34, 170)}${plank(96, 352, 408, 24)}`,
)
const splitCloseBy = scene(
  '#efe3cf',
  '#a8834f',
  `${plank(0, 130, 600, 190)}<path d="M250 118l44 66 -26 34 40 54 -20 62" stroke="#2c1f10" stroke-width="14" fill="none"/><path d="M262 120l40 62 -24 34 38 54" stroke="#f4dcae" stroke-width="4" fill="none"/>`,
)
const glove = (x: number) =>
  `<g transform="translate(${x} 0)"><path d="M60 380V250l-46 -58 26 -24 40 38 -8 -116 30 -2 12 96 6 -112 31 2 0 112 18 -98 29 6 -14 108 22 -70 26 9 -28 116 -24 125z" fill="#b9854c"/><path d="M70 330h130" stroke="#8a5c2d" stroke-width="5"/></g>`
const twoLefts = scene('#dfe3df', '#a9b3ac', `${shadow(300, 392, 250)}${glove(40)}${glove(310)}`)

/** Customers' photos, by writer. */
export const photosBy: Record<string, NonNullable<ReviewStory['photos']>> = {
  'Annika Reuter': [{ drawn: hiveInTheGarden, shows: 'Die Beute steht aufgebaut im Garten' }],
  'Siobhan Kerr': [{ drawn: smoker, shows: 'The copper smoker, lit, in the grass' }],
  'Maud Pellerin': [
    { drawn: hiveInTheGarden, shows: 'The hive with both boxes under a grey roof' },
    { drawn: onTheFloor, shows: '' },
  ],
  'Edith Fallow': [{ drawn: twoLefts, shows: 'Two gloves side by side, both for the left hand' }],
  'Wren Castell': [
    { drawn: onTheFloor, shows: 'Boards and a hammer on the kitchen tiles' },
    { drawn: namedFrames, shows: 'Four frames, each with a name written on it' },
  ],
  'Orla Fenn': [
    { drawn: splitFrame, shows: 'A frame with a crack in its top bar' },
    { drawn: splitCloseBy, shows: '' },
  ],
}
