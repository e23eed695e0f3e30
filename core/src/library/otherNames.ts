import type { BuiltInId } from './exercises.ts'

/** What exercises are called besides their name, by those who type all day. */
export const otherNames: Partial<Record<BuiltInId, readonly string[]>> = {
  backSquat: ['squat', 'barbell squat'],
  benchPress: ['bench', 'flat bench', 'barbell bench press'],
  deadlift: ['dead', 'conventional deadlift', 'barbell deadlift'],
  overheadPress: ['press', 'military press', 'strict press', 'standing press', 'barbell press'],
  romanianDeadlift: ['rdl'],
  barbellRow: ['row', 'bent over row'],
  barbellCurl: ['curl', 'biceps curl'],
  pulldown: ['lat pulldown'],
  standingCalfRaise: ['calf raise'],
  farmersCarry: ['farmer walk', 'carry'],
  legCurl: ['lying leg curl', 'hamstring curl'],
  rearFootSplitSquat: ['bulgarian split squat', 'rear foot elevated split squat'],
  lyingTricepsExtension: ['skull crusher'],
  tricepsPushdown: ['pushdown'],
  lateralRaise: ['side raise', 'side lateral raise'],
  dumbbellFly: ['fly', 'chest fly'],
  rollOut: ['ab wheel', 'ab wheel rollout', 'rollout'],
  dumbbellShoulderPress: ['shoulder press'],
  rowErg: ['erg', 'rower', 'rowing'],
  bikeErg: ['cycling'],
  run: ['running', 'jog'],
  skippingRope: ['jump rope', 'skipping'],
}

/** Words that stand for others in a name. */
export const shortWords: ReadonlyMap<string, string> = new Map([
  ['db', 'dumbbell'],
  ['dbs', 'dumbbell'],
  ['bb', 'barbell'],
  ['kb', 'kettlebell'],
  ['ohp', 'overhead press'],
  ['sl', 'single leg'],
  ['abs', 'trunk'],
])
