import fc from 'fast-check'
import { expect, test } from 'vitest'
import { readFormFields } from './formFields'

/** A form as a browser sends it, and its content type. */
async function sent(form: FormData): Promise<[Buffer, string]> {
  const response = new Response(form)
  return [Buffer.from(await response.arrayBuffer()), response.headers.get('Content-Type')!]
}

test('a form comes out as it went in, whatever stands in its names, values and files', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.string({ maxLength: 20, unit: 'grapheme' }), fc.string({ unit: 'binary' })), {
        maxLength: 6,
      }),
      fc.array(
        fc.tuple(
          fc.string({ minLength: 1, maxLength: 20, unit: 'grapheme' }),
          fc.uint8Array({ maxLength: 300 }),
        ),
        {
          maxLength: 3,
        },
      ),
      async (fields, files) => {
        const form = new FormData()
        for (const [name, value] of fields) if (!/[.[]/.test(name)) form.append(name, value)
        for (const [name, bytes] of files)
          form.append('media', new File([new Uint8Array(bytes)], name, { type: 'image/png' }))
        const [body, type] = await sent(form)
        const read = await readFormFields(body, type, body.length)
        const plain = async (given: FormData) =>
          Promise.all(
            [...given].map(async ([name, value]) =>
              typeof value === 'string'
                ? // A form is sent with CRLF, whatever was typed.
                  [name, value.replace(/\r\n?|\n/g, '\r\n')]
                : [name, value.name, value.type, [...new Uint8Array(await value.arrayBuffer())]],
            ),
          )
        expect(await plain(read)).toEqual(await plain(form))
      },
    ),
    { numRuns: 60 },
  )
})

test('a form that breaks off anywhere is refused, and nothing is thrown later', async () => {
  const form = new FormData()
  form.append('rating', '5')
  form.append('media', new File([new Uint8Array(20)], 'a.jpg'))
  const [body, type] = await sent(form)
  for (let length = 0; length < body.length - 4; length++)
    await expect(readFormFields(body.subarray(0, length), type, body.length)).rejects.toThrow('broken')
})
