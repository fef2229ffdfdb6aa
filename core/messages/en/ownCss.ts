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
      bounds: 'would hide, move or cross out text, or make it too small to read',
      contrast:
        'would leave a text hardly readable on what can be behind it; set its background in the same rule, or another colour',
      important: 'is the stronger rule in any case; write it without “important”',
    },
    // What a browser painted, not what the list of properties says.
    painted: {
      invisible: 'Line {{line}} of your own CSS makes these invisible: {{what}} (at {{width}} px).',
      covered: 'Line {{line}} of your own CSS covers these: {{what}} (at {{width}} px).',
      misplaced: 'Line {{line}} of your own CSS moves these out of their place: {{what}} (at {{width}} px).',
      small: 'Line {{line}} of your own CSS makes these too small to read: {{what}} (at {{width}} px).',
      faint: 'Line {{line}} of your own CSS makes these hardly readable: {{what}} (at {{width}} px).',
    },
    otherText: 'other text',
    unreadable: 'Visitors couldn’t read everything',
    whyUnreadable: 'Change these lines, or publish without own CSS. Undo brings it back.',
    publishWithout: 'Publish without own CSS',
    goBack: 'Back to the display',
    part: {
      whole: 'the whole display',
      card: 'one review',
      list: 'all reviews',
      write: '“Write a review”',
      button: 'your own button',
      arrows: 'arrows',
    },
  },
} as const
