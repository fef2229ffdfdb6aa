import type { DisplayModel } from '../core/display/displayModel'
import type { Quotation } from '../core/display/quotation'
import { tableColumns, type TableColumn } from '../core/display/tableColumns'
import { Glyphs } from './Glyphs'
import { Notes, Photos, Reply, Words } from './QuotationView'

/** Reviews as the rows of a table. In a narrow box each row is a list of its cells. */
export function ReviewTable({ model }: { model: DisplayModel }) {
  const columns = tableColumns(model.layout.tableColumns, model.quotations).filter(({ hidden }) => !hidden)
  return (
    <table>
      <thead>
        <tr>
          {columns.map((column) => (
            <th
              key={column.key}
              scope="col"
              data-column={column.key}
              className={`eg-column${column.setOff ? ' eg-off' : ''}`}
              dir="auto"
            >
              {headingOf(column, model)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {model.quotations.map((quotation) => (
          <Row key={quotation.publicId} {...{ quotation, columns, model }} />
        ))}
      </tbody>
    </table>
  )
}

/** How visitors read a column. */
export const headingOf = (
  { heading, fixed, label }: TableColumn,
  { translate }: Pick<DisplayModel, 'translate'>,
): string => heading || (fixed ? translate(`visitor.column.${fixed}`) : label)

function Row({
  quotation,
  columns,
  model,
}: {
  quotation: Quotation
  columns: TableColumn[]
  model: DisplayModel
}) {
  return (
    <tr data-review={quotation.publicId}>
      {columns.map((column, i) => (
        <td
          key={column.key}
          data-label={headingOf(column, model)}
          className={column.setOff ? 'eg-off' : undefined}
          lang={column.fixed === 'words' || !column.fixed ? (quotation.language ?? undefined) : undefined}
        >
          <Cell column={column} quotation={quotation} model={model} />
          {i === 0 && <Notes quotation={quotation} ownCss={model.ownCss} />}
        </td>
      ))}
    </tr>
  )
}

function Cell({
  column: { fixed, label },
  quotation,
  model,
}: {
  column: TableColumn
  quotation: Quotation
  model: DisplayModel
}) {
  const { name, marks, numeral, product, date, title, answers } = quotation
  const { translate } = model
  switch (fixed) {
    case 'name':
      return (
        <b className="eg-name" dir="auto">
          {name}
        </b>
      )
    case 'rating':
      return (
        <span className="eg-stars">
          {marks !== null && (
            <Glyphs marks={marks} glyph={model.parts.glyph} label={translate('visitor.stars', { marks })} />
          )}
          {numeral && <b>{numeral}</b>}
        </span>
      )
    case 'words':
      return (
        <>
          {title && (
            <p className="eg-head" dir="auto">
              {title}
            </p>
          )}
          <Words quotation={quotation} translate={translate} />
          <Photos quotation={quotation} translate={translate} />
          <Reply quotation={quotation} translate={translate} />
        </>
      )
    case 'product':
      return product && <span className="eg-on">{product}</span>
    case 'date':
      return (
        date && (
          <time className="eg-date" dateTime={date.at}>
            {date.words}
          </time>
        )
      )
    case null:
      return (
        <span className="eg-answer" dir="auto">
          {answers.find((answer) => answer.label === label)?.value}
        </span>
      )
  }
}
