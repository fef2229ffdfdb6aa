/** Properties whose numbers are bounded, each with the kind of its bounds (`ownCssBounds.ts`). */
const bounded = {
  fontSize: ['font-size'],
  lineHeight: ['line-height'],
  letterSpacing: ['letter-spacing'],
  wordSpacing: ['word-spacing'],
  space: [
    ...sides('margin'),
    ...sides('padding'),
    ...['gap', 'row-gap', 'column-gap', 'border-spacing', 'outline-offset'],
  ],
  line: [
    ...['border', 'border-width', 'outline', 'outline-width', 'text-decoration-thickness'],
    ...['top', 'right', 'bottom', 'left', 'block', 'inline'].flatMap((side) => [
      `border-${side}`,
      `border-${side}-width`,
    ]),
    ...['block', 'inline'].flatMap((axis) =>
      ['start', 'end'].flatMap((end) => [`border-${axis}-${end}`, `border-${axis}-${end}-width`]),
    ),
  ],
  shadow: ['box-shadow', 'text-shadow', 'text-underline-offset'],
  width: ['max-width', 'max-inline-size'],
  /** A text must not be see-through. */
  opaque: ['color'],
} as const
export type BoundsKind = keyof typeof bounded

function sides(property: string): string[] {
  const names = ['', '-top', '-right', '-bottom', '-left', '-block', '-block-start', '-block-end']
  return [...names, '-inline', '-inline-start', '-inline-end'].map((side) => property + side)
}

const unbounded = [
  ...['background', 'background-color', 'background-image', 'background-size', 'background-position'],
  ...['background-repeat', 'background-clip', 'background-origin'],
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
  ...['border-inline-end-color', 'border-inline-end-style', 'border-radius', 'border-top-left-radius'],
  ...['border-top-right-radius', 'border-bottom-left-radius', 'border-bottom-right-radius'],
  ...[
    'border-start-start-radius',
    'border-start-end-radius',
    'border-end-start-radius',
    'border-end-end-radius',
  ],
  ...['font-family', 'font-style', 'font-weight', 'font-stretch', 'font-variant', 'font-variant-caps'],
  ...['font-variant-numeric', 'font-variant-ligatures', 'font-feature-settings', 'font-kerning'],
  ...['font-optical-sizing', 'text-align', 'text-transform', 'text-decoration', 'text-decoration-color'],
  ...['text-decoration-line', 'text-decoration-style', 'text-wrap', 'hyphens'],
  ...['align-items', 'align-self', 'align-content', 'justify-content', 'justify-items', 'justify-self'],
  ...['place-items', 'place-self', 'place-content', 'flex-direction', 'flex-wrap', 'object-fit'],
  ...['object-position', 'list-style-type', 'vertical-align'],
]

/** The kind of the bounds of each bounded property. */
export const boundsKinds: ReadonlyMap<string, BoundsKind> = new Map(
  Object.entries(bounded).flatMap(([kind, properties]) =>
    properties.map((property) => [property, kind as BoundsKind] as const),
  ),
)

export const allowedProperties: ReadonlySet<string> = new Set([...boundsKinds.keys(), ...unbounded])
