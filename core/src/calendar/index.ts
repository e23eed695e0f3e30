export {
  closeWeek,
  type Course,
  endByDate,
  giveUp,
  inWeekOf,
  openWeek,
  placesLeft,
  type RunningWeek,
  sessionAt,
  startCourse,
  type Taken,
} from './course.ts'
export { hasPlace, type Place, placesOf, rowOnPaper } from './places.ts'
export { inTurn, partInTurn, turnOf } from './rotations.ts'
