import 'css-tree'

declare module 'css-tree' {
  /** Calls back for each token of a text, with its type and its place. The types of the package leave it out. */
  export function tokenize(text: string, onToken: (type: number, start: number, end: number) => void): void
}
