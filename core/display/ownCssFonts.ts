import { shippedFonts } from './fonts'

/** Fonts of letters that devices bring along, in lower case; a name that isn't here could be one of pictures. */
const onDevices = [
  ...[
    'serif',
    'sans-serif',
    'monospace',
    'cursive',
    'system-ui',
    'ui-serif',
    'ui-sans-serif',
    'ui-monospace',
  ],
  ...['ui-rounded', 'inherit', '-apple-system', 'blinkmacsystemfont', 'arial', 'arial narrow', 'helvetica'],
  ...['helvetica neue', 'verdana', 'tahoma', 'trebuchet ms', 'segoe ui', 'calibri', 'candara', 'optima'],
  ...[
    'roboto',
    'noto sans',
    'noto serif',
    'open sans',
    'lato',
    'inter',
    'ubuntu',
    'cantarell',
    'dejavu sans',
  ],
  ...['dejavu serif', 'liberation sans', 'liberation serif', 'gill sans', 'futura', 'avenir', 'avenir next'],
  ...['georgia', 'times', 'times new roman', 'garamond', 'baskerville', 'palatino', 'palatino linotype'],
  ...['book antiqua', 'cambria', 'didot', 'charter', 'iowan old style', 'rockwell', 'courier', 'courier new'],
  ...[
    'consolas',
    'menlo',
    'monaco',
    'lucida console',
    'lucida grande',
    'lucida sans unicode',
    'comic sans ms',
  ],
]

/** The names that own CSS can use in `font-family`. */
export const textFonts: ReadonlySet<string> = new Set([
  ...onDevices,
  ...Object.values(shippedFonts).map(({ name }) => name.toLowerCase()),
])
