/** What may be typed for sets, and how it is written back. The tests read each one, the docs and the help print them. */
export const shorthandExamples: { typed: string; means: string; say: string }[] = [
  { typed: '3x8', means: '3 × 8 @ free', say: 'Three sets of eight; the member chooses the load.' },
  {
    typed: '5 sets of 5 3 left @ 75%',
    means: '5 × 5 @ 75% R3',
    say: 'Of the 1RM, 3 RIR.',
  },
  { typed: '5*3 85%', means: '5 × 3 @ 85%', say: 'The @ may be left out.' },
  {
    typed: '3x5 @ 80-85%',
    means: '3 × 5 @ 80-85%',
    say: 'From 80 to 85%: the member chooses within it.',
  },
  {
    typed: '1x1 @ 95-102% as a test',
    means: '1 × 1 @ 95-102% as a test',
    say: 'A test may be above the 1RM.',
  },
  {
    typed: '3x8-10 @ rule R2 rest 90',
    means: '3 × 8-10 @ progression R2 rest 1:30',
    say: 'The load is the progression’s; 90 seconds of rest.',
  },
  {
    typed: '3x5+ @ 85% TM rest 3 min',
    means: '3 × 5+ @ 85% TM rest 3:00',
    say: 'The last set for as many good reps as possible, of the training max.',
  },
  {
    typed: '4 x AMRAP @ none',
    means: '4 × AMRAP @ no load',
    say: 'Every set for as many good reps as possible.',
  },
  {
    typed: '3x5+ every set @ 75%',
    means: '3 × 5+ every set @ 75%',
    say: 'The same, with five at least.',
  },
  {
    typed: '3-5 x 8 @ 60%',
    means: '3-5 × 8 @ 60%',
    say: 'Three sets are enough; the member may do up to five.',
  },
  {
    typed: '1x1 @ 92,5% top set; 3x5 @ 80% top back-offs',
    means: '1 × 1 @ 92.5% top set; 3 × 5 @ 80% top back-offs',
    say: 'A top set and back-offs below it.',
  },
  {
    typed: '4x6 rpe 8 @ effort',
    means: '4 × 6 @ by effort R2',
    say: 'RPE 8 is 2 RIR; the load is found by effort.',
  },
  {
    typed: '3x10 each side tempo 31x0 @ free',
    means: '3 × 10 @ free tempo 31X0 each side',
    say: 'Reps of each side; four digits of tempo.',
  },
  {
    typed: '3 x 0:45 @ none rest 60',
    means: '3 × 0:45 @ no load rest 1:00',
    say: 'A time: held, or kept up.',
  },
  {
    typed: '4 x 40 m @ free',
    means: '4 × 40 m @ free',
    say: 'A distance; "2 x 40 m" alone is two trips of one set.',
  },
  {
    typed: '5 rounds cap 20 min @ none',
    means: '1 × 5 rounds, at most 20:00 @ no load',
    say: 'Five rounds, or as many as fit into 20 minutes.',
  },
  {
    typed: '3x8 @ last + 2,5 kg / 5 lb',
    means: '3 × 8 @ last +2.5kg/5lb',
    say: 'What was lifted here last time and so much more; − for less.',
  },
  {
    typed: '4x5 @ 12x back squat max in all',
    means: '4 × 5 @ 12× back squat max in all',
    say: 'Sets that come to 12 times another lift’s max; “week” is what it has moved this week.',
  },
  {
    typed: '4 x 30 in all @ rule',
    means: '4 × 30 in all @ progression',
    say: 'A total, within four sets.',
  },
  {
    typed: '50 in all @ none',
    means: '3 × 50 in all, any sets @ no load',
    say: 'A total in as many sets as it takes, about three.',
  },
  {
    typed: '3 x 3:00 in all @ none',
    means: '3 × 3:00 in all @ no load',
    say: 'A time in all. A distance too: 400 m in all.',
  },
  {
    typed: '3 x any reps @ none',
    means: '3 × any reps @ no load',
    say: 'As many as the member likes: any time, any m, any rounds too.',
  },
  {
    typed: '1 x 12 then 4x4 after 15s @ 60%',
    means: '1 × 12 then 4×4 after 15s, counts as 3 @ 60%',
    say: 'Rest-pause cluster.',
  },
  {
    typed: '1 x 12-15 then 3-5x3-4 after 20s @ 60%',
    means: '1 × 12-15 then 3-5×3-4 after 20s, counts as 3 @ 60%',
    say: 'The same in ranges: the least is enough.',
  },
  {
    typed: '3 x 2-4 x 20 m @ free',
    means: '3 × 2-4 × 20 m @ free',
    say: 'Three sets of two to four trips.',
  },
  { typed: '1 x most reps in 8:00 @ 65%', means: '1 × most reps in 8:00 @ 65%', say: 'Density.' },
  {
    typed: '6x2 @ 60% style speed at least 3, until the bar slows',
    means: '6 × 2 @ 60% style speed at least 3 until the bar slows',
    say: 'Sets that end when something happens.',
  },
  {
    typed: '3x5 @ 80% rest 2-3 min',
    means: '3 × 5 @ 80% rest 2:00-3:00',
    say: 'A rest from so long to so long.',
  },
  {
    typed: '3x8 rest 30 round 2:00',
    means: '3 × 8 @ free rest 0:30 round 2:00',
    say: 'In a superset: after each exercise, and after the round.',
  },
  {
    typed: '2x3 fixed sets and reps',
    means: '2 × 3 @ free fixed sets and reps',
    say: 'Keeps these sets and reps in this week, whatever the progression writes.',
  },
  {
    typed: '3x5 @ 60% bands 2 green',
    means: '3 × 5 @ 60% bands 2 green',
    say: 'Bands by name and number: no kilos.',
  },
  {
    typed: '3x10 or 50% in a 10 kg vest',
    means: '3 × 10 @ free or 50% in a 10 kg vest',
    say: 'Another way that the member may choose.',
  },
  {
    typed: '1 x do: hip drill (10 min)',
    means: '1 × do: hip drill (10 min)',
    say: 'Task without a load, without load or count.',
  },
  {
    typed: '1 x do: broad jumps (5 min, result in m)',
    means: '1 × do: broad jumps (5 min, result in m)',
    say: 'With a result to write down: in reps, time, m, km, yd, mi or rounds.',
  },
  {
    typed: '4 sets of 8 reps at 70% of 1RM',
    means: '4 × 8 @ 70%',
    say: 'In words.',
  },
  {
    typed: '5,5,5,3,3 @ 75%',
    means: '3 × 5 @ 75%; 2 × 3 @ 75%',
    say: 'Set by set: equal sets become one line. 8/6/4/2 too.',
  },
  {
    typed: 'top set of 5 @ RPE 8 then 3x5 -10%',
    means: '1 × 5 @ free R2 top set; 3 × 5 @ 90% top',
    say: 'One line after the other; the load is 10% below the top set.',
  },
  {
    typed: '3x12/side R2 90s',
    means: '3 × 12 @ free R2 rest 1:30 each side',
    say: 'A time by itself at the end is the rest.',
  },
  {
    typed: '3x5, 3x3 (3 min rest)',
    means: '3 × 5 @ free; 3 × 3 @ free rest 3:00',
    say: 'Commas separate lines where each is sets and reps.',
  },
]
