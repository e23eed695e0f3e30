import { expect, test } from '@jest/globals'
import { inputOf, readFixture } from '../../../fixtures/read.ts'
import { formatSetsShown } from '../../views/index.ts'
import { planMember } from '../planMember.ts'

test('a band that is counted back from a test day keeps its upper end within the cap', () => {
  const fixture = structuredClone(readFixture('a-countdown-whose-test-day-moves'))
  const [template] = Object.values(fixture.versions)
  const rows = template?.slots.squat?.rows.peak ?? []
  for (const { load } of rows.flat()) if (load.of === 'max') load.to = load.percent + 5
  const input = inputOf(fixture)
  const { plans } = planMember({ ...input, when: { ...input.when, today: '2026-03-23' } })
  const said = Object.values(plans).flatMap(({ weeks }) =>
    weeks.flatMap(({ week, places }) =>
      places.flatMap(({ slots }) =>
        slots.map((slot) => `${week}: ${formatSetsShown(input.library, slot.sets)}`),
      ),
    ),
  )
  // One step of 5 kg above the heaviest so far: 75, then as if each week before were done.
  expect(said.slice(3)).toEqual(['4: 3 × 3 @ 80 kg', '5: 2 × 3 @ 85 kg', '6: 2 × 1 @ 90 kg'])
})
