/** What stands above the reviews, and dates in a pattern. */
export const headingWords = {
  heading: {
    order: 'Order, drag to change',
    shop: 'Your shop',
    datePattern: 'Pattern',
    datePatternHelp: 'd is the day, M the month, MMM its short name, yyyy the year',
  },
} as const
