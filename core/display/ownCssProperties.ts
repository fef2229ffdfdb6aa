/** Properties whose values are bounded, each with the kind of its bounds (`ownCssBounds.ts`). */
const bounded = {
  fontSize: ['font-size'],
  lineHeight: ['line-height'],
  letterSpacing: ['letter-spacing'],
  wordSpacing: ['word-spacing'],
  space: [...sides('margin'), ...sides('padding'), ...['gap', 'row-gap', 'column-gap', 'border-spacing']],
  line: [
    ...['border', 'border-width'],
    ...['top', 'right', 'bottom', 'left', 'block', 'inline'].flatMap((side) => [
      `border-${side}`,
      `border-${side}-width`,
    ]),
    ...['block', 'inline'].flatMap((axis) =>
      ['start', 'end'].flatMap((end) => [`border-${axis}-${end}`, `border-${axis}-${end}-width`]),
    ),
  ],
  // Painted over what is beside it.
  thinLine: ['outline', 'outline-width', 'outline-offset', 'text-underline-offset'],
  underline: ['text-decoration', 'text-decoration-line', 'text-decoration-thickness'],
  boxShadow: ['box-shadow'],
  textShadow: ['text-shadow'],
  corners: [
    ...['border-radius', 'border-top-left-radius', 'border-top-right-radius'],
    ...['border-bottom-left-radius', 'border-bottom-right-radius', 'border-start-start-radius'],
    ...['border-start-end-radius', 'border-end-start-radius', 'border-end-end-radius'],
  ],
  width: ['max-width', 'max-inline-size'],
  /** A text must not be see-through. */
  opaque: ['color'],
  /** Only fonts of letters. */
  font: ['font-family'],
  /** Words of CSS alone: neither lengths nor texts. */
  words: [
    ...['vertical-align', 'list-style-type', 'font-style', 'background-clip', 'object-position'],
    ...['text-wrap', 'flex-direction', 'flex-wrap', 'background-size'],
  ],
  /** A stripe behind a text would cross it out. */
  gradient: ['background', 'background-image'],
} as const
export type BoundsKind = keyof typeof bounded

function sides(property: string): string[] {
  const names = ['', '-top', '-right', '-bottom', '-left', '-block', '-block-start', '-block-end']
  return [...names, '-inline', '-inline-start', '-inline-end'].map((side) => property + side)
}

const unbounded = [
  ...['background-color', 'background-position', 'background-repeat', 'background-origin'],
  ...['border-color', 'border-style', 'border-collapse', 'outline-color', 'outline-style'],
  ...[
    'top',
    'right',
    'bottom',
    'left',
    'block',
    'inline',
    'block-start',
    'block-end',
    'inline-start',
  ].flatMap((side) => [`border-${side}-color`, `border-${side}-style`]),
  ...[
    'border-inline-end-color',
    'border-inline-end-style',
    'font-weight',
    'font-stretch',
    'font-variant',
    'font-variant-caps',
  ],
  ...['font-variant-numeric', 'font-variant-ligatures', 'font-kerning'],
  ...['font-optical-sizing', 'text-align', 'text-transform', 'text-decoration-color'],
  ...['text-decoration-style', 'hyphens'],
  ...['align-items', 'align-self', 'align-content', 'justify-content', 'justify-items', 'justify-self'],
  ...['place-items', 'place-self', 'place-content', 'object-fit'],
]

/** The kind of the bounds of each bounded property. */
export const boundsKinds: ReadonlyMap<string, BoundsKind> = new Map(
  Object.entries(bounded).flatMap(([kind, properties]) =>
    properties.map((property) => [property, kind as BoundsKind] as const),
  ),
)

export const allowedProperties: ReadonlySet<string> = new Set([...boundsKinds.keys(), ...unbounded])
