import { declarationsOf, type Declaration } from '../../core/site/css'
import { piecesOf } from '../../core/site/cssPieces'
import { readPage, type Page } from '../../core/site/page'
import { stillPage } from '../../core/site/stillPage'
import type { Services } from '../services'

/* Parsing foreign pages runs in a thread, because a hostile page can take long. */

interface Fetched {
  html: string
  url: string
}

export const readPageTask = async (_: Services, { html, url }: Fetched): Promise<Page> => readPage(html, url)

export const readStylesTask = async (_: Services, { styles }: { styles: string[] }): Promise<Declaration[]> =>
  styles.flatMap((style) => [...piecesOf(style)].flatMap(declarationsOf))

export const stillPageTask = async (_: Services, { html, url }: Fetched): Promise<string> =>
  stillPage(html, url)
