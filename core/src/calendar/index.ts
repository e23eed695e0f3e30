export {
  closeWeek,
  type Course,
  courseWith,
  endByDate,
  giveUp,
  inWeekOf,
  openWeek,
  placesLeft,
  type RunningWeek,
  sessionAt,
  startCourse,
  type Taken,
  takenWith,
  weekWith,
} from './course.ts'
export { hasPlace, type Place, placesOf, rowOnPaper } from './places.ts'
export { inTurn, liftOnPaper, partInTurn, turnOf } from './rotations.ts'
