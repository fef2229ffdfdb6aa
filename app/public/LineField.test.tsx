import { useForm } from '@conform-to/react'
import { renderToStaticMarkup } from 'react-dom/server'
import { expect, test } from 'vitest'
import { customerTranslate } from '../../core/messages/customers'
import { LineField } from './LineField'
import { TranslateContext } from './speech'

/** The line of an order number, as the server answers it. */
function Line({
  value,
  error,
  ...asked
}: {
  value: string
  error?: string
  shown: boolean
  required: boolean
}) {
  const [, fields] = useForm<{ order: string }>({
    id: 'form',
    lastResult: {
      initialValue: { order: value },
      ...(error && { status: 'error', error: { order: [error] } }),
    },
  })
  return <LineField field={fields.order} label="Order number" autoComplete="off" {...asked} />
}
const drawn = (line: Parameters<typeof Line>[0]) =>
  renderToStaticMarkup(
    <TranslateContext value={customerTranslate('en')}>
      <Line {...line} />
    </TranslateContext>,
  )
const missing = 'form.error.orderNumber'

test('a line that a form leaves out appears once it is missed, and is not called optional', () => {
  const leftOut = { shown: false, required: false, value: '' }
  expect(drawn(leftOut)).toBe('')
  const html = drawn({ ...leftOut, error: missing })
  expect(html).toContain('Enter the number of your order.')
  expect(html).not.toContain('optional')
})

test('an optional line is optional until it is missed, not when its answer is wrong', () => {
  const optional = { shown: true, required: false }
  expect(drawn({ ...optional, value: '' })).toContain('optional')
  expect(drawn({ ...optional, value: '', error: missing })).not.toContain('optional')
  expect(drawn({ ...optional, value: 'x'.repeat(90), error: 'form.error.long?limit=60' })).toContain(
    'optional',
  )
  expect(drawn({ shown: true, required: true, value: '' })).not.toContain('optional')
})
