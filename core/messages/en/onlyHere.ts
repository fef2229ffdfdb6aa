/** Changes for boxes of one width. */
export const onlyHereWords = {
  onlyHere: {
    phone: 'only at this width, up to {{upTo}} px',
    tablet: 'only at this width, {{from}} to {{upTo}} px',
    undo: 'Undo only here: {{what}}',
    hidden: '{{what}} hidden here',
    differs: {
      columns: 'columns differ here',
      limit: 'number differs here',
      density: 'spacing differs here',
      frame: 'line differs here',
      card: 'style of each review differs here',
    },
    text: 'other style here: {{what}}',
  },
} as const
