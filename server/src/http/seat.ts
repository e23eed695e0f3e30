import type { SeatView } from '@young-oak/api/accounts'

/** A seat: who an account is in a gym. */
export type Seat = SeatView
