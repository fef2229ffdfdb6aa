import 'css-tree'

declare module 'css-tree' {
  /** The package's types lack this function. */
  export function tokenize(text: string, onToken: (type: number, start: number, end: number) => void): void
}
