import { expect, test } from '@jest/globals'
import { readInvites, textOf } from './readInvites.ts'

const wren = { id: '00000000-0000-4000-8000-000000000001', name: 'Wren Harrow' }
const faultsOf = (text: string) =>
  readInvites(text, [wren]).lines.map(({ line, faults }) => `${line}: ${faults.join(' ')}`)

test('names alone are members, one a line', () => {
  expect(readInvites('Ada Fen\n\n  Bea Rill \n', []).lines.map(({ invite }) => invite)).toEqual([
    { name: 'Ada Fen', role: 'member' },
    { name: 'Bea Rill', role: 'member' },
  ])
})

test('a CSV file and cells of a spreadsheet are read by their heads, in any order', () => {
  const wanted = [
    { name: 'Fen, Ada', email: 'ada@test.example', role: 'member', writers: [wren.id] },
    { name: 'Olga', role: 'owner' },
  ]
  const csv = 'Role,Name,E-mail,Writer\nmember,"Fen, Ada",ADA@test.example,wren harrow\nOwner,Olga,,'
  const cells =
    'Name\tWriter\tE-mail address\tRole\nFen, Ada\tWren Harrow\tada@test.example\t\nOlga\t\t\towner'
  for (const text of [csv, cells])
    expect(readInvites(text, [wren]).lines.map(({ invite }) => invite)).toEqual(wanted)
  expect(readInvites(csv, [wren]).lines.map(({ line }) => line)).toEqual([2, 3])
})

test('every fault names its line, and the other lines stand', () => {
  expect(
    faultsOf(
      [
        'Ada,ada@test.example',
        'Bea,no address',
        ',cy@test.example',
        '=1+1,dee@test.example',
        'Eve,ADA@test.example',
        'Fay,,coach',
        'Gus,,,Wren Barrow',
        'Hal,,,,more',
        'Ida',
      ].join('\n'),
    ),
  ).toEqual([
    '1: ',
    '2: This is not an e-mail address.',
    '3: Enter the name.',
    '4: A name does not begin with = + - or @.',
    '5: The address of line 1 again.',
    '6: A role is owner, writer, member; this is “coach”.',
    '7: No writer is called “Wren Barrow”.',
    '8: 5 columns: at most 4 are read.',
    '9: ',
  ])
})

test('what was not taken can be mended and read again, under the same heads', () => {
  const mended = (text: string) => textOf(readInvites(text, [])).replace('nothing', 'ada@test.example')
  const ada = { name: 'Fen, Ada', email: 'ada@test.example', role: 'member' }
  for (const text of ['"Fen, Ada",nothing\nBea', 'E-mail,Name\nnothing,"Fen, Ada"\n,Bea'])
    expect(readInvites(mended(text), []).lines.map(({ invite }) => invite)).toEqual([ada])
  expect(textOf(readInvites('Bea', []))).toBe('')
  expect(readInvites('Bea;bea@test.example', []).lines).toMatchObject([{ invite: { name: 'Bea' } }])
})

test('a list that is far too long is not read to its end', () => {
  const long = Array.from({ length: 50_000 }, (_, i) => `Person ${i}`).join('\n')
  expect(readInvites(long, [])).toEqual({
    lines: [],
    fault: 'At most 500 people are invited at once: divide the list.',
  })
  expect(readInvites('', []).lines).toEqual([])
})
