import { expect, test } from 'vitest'
import { evidenceKind, evidenceName } from './evidence'

const bytes = (...start: number[]) => Uint8Array.from([...start, ...Array<number>(12).fill(0)])

test('the kind of a file is told by its content', () => {
  expect(evidenceKind(bytes(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a))).toBe('png')
  expect(evidenceKind(bytes(0xff, 0xd8, 0xff))).toBe('jpeg')
  expect(evidenceKind(bytes(0x52, 0x49, 0x46, 0x46, 1, 2, 3, 4, 0x57, 0x45, 0x42, 0x50))).toBe('webp')
  expect(evidenceKind(bytes(0x25, 0x50, 0x44, 0x46, 0x2d))).toBe('pdf')
  expect(evidenceKind(new TextEncoder().encode('Grüße, die Säge läuft.\r\n'))).toBe('text')
})

test('programs, broken text and empty files are refused', () => {
  expect(evidenceKind(bytes(0x4d, 0x5a, 0x90))).toBeNull()
  expect(evidenceKind(Uint8Array.from([0xe4, 0x20, 0xff]))).toBeNull()
  expect(evidenceKind(new Uint8Array())).toBeNull()
})

test('a name loses folders and control characters', () => {
  expect(evidenceName('C:\\Users\\me\\chat.png')).toBe('chat.png')
  expect(evidenceName('../../etc/pass\u0000wd')).toBe('passwd')
  expect(evidenceName(`${'a'.repeat(300)}.pdf`)).toMatch(/^a{96}\.pdf$/)
  expect(evidenceName('')).toBe('file')
})
