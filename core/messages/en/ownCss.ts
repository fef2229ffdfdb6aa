/** The field for own CSS. */
export const ownCssWords = {
  ownCss: {
    label: 'Own CSS for this display',
    why: 'Colours, text, borders and spacing of everything in the display. Where a review comes from, how many you picked and how reviews are handled keep their own look.',
    noEffect_one: '{{count}} piece has no effect:',
    noEffect_other: '{{count}} pieces have no effect:',
    line: 'Line {{line}}: {{what}}',
    fault: {
      syntax: 'is not understood as CSS',
      deep: 'has too many brackets within each other',
      atRule: 'is not possible here; @media and @container are',
      nested: 'is a rule within a rule; write it outside',
      selector: 'is outside of the display',
      property: 'is not among what can be changed here',
      value: 'has a value that this property does not have, or that would load something',
      bounds: 'would hide or move text, or make it too small to read',
      contrast:
        'would leave a text hardly readable on what can be behind it; set its background in the same rule, or another colour',
      important: 'is the stronger rule in any case; write it without “important”',
    },
    part: {
      whole: 'the whole display',
      card: 'one review',
      list: 'all reviews',
      role: 'role',
      company: 'company',
      product: 'product',
      photos: 'photos',
      portrait: 'portrait',
      answers: 'answers',
      write: '“Write a review”',
      button: 'your own button',
      arrows: 'arrows',
    },
  },
} as const
