import { expect, test } from '@jest/globals'
import { movesOf } from './moves.ts'

test('lists the lines that move, by how much and by which step; what stays is left out', () => {
  const before = {
    anna: {
      'A, squat, line 1': { load: '3 × 60 kg', why: ['60 kg, nearest'] },
      'A, bench, line 1': { load: '3 × 40 kg', why: [] },
    },
    bert: { 'A, squat, line 1': { load: '3 × 80 kg', why: [] } },
  }
  const after = {
    anna: {
      'A, squat, line 1': { load: '3 × 57.5 kg', why: ['57.5 kg, down'] },
      'A, bench, line 1': { load: '3 × 40 kg', why: ['another word'] },
      'A, row, line 1': { load: '3 × 50 kg', why: [] },
    },
    bert: { 'A, squat, line 1': { load: '3 × 80 kg', why: [] } },
  }
  expect(movesOf(before, after)).toEqual([
    {
      member: 'anna',
      lines: [
        'A, squat, line 1: 3 × 60 kg → 3 × 57.5 kg (57.5 kg, down)',
        'A, row, line 1: nothing → 3 × 50 kg',
      ],
    },
  ])
})
