/** Changes for boxes of one width. */
export const onlyHereWords = {
  onlyHere: {
    phone: 'changes only for boxes up to {{upTo}} px',
    tablet: 'changes only for boxes of {{from}} to {{upTo}} px',
    undo: 'Undo only here: {{what}}',
    hidden: '{{what}} hidden here',
    differs: {
      columns: 'columns differ here',
      limit: 'number differs here',
      density: 'spacing differs here',
      frame: 'line differs here',
      card: 'style of each review differs here',
    },
    text: '{{what}} differ here',
  },
} as const
