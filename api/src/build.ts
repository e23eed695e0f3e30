/** The number of this page and server, raised when an answer changes its shape. A page names it in a header with every call. */
export const build = 10
export const buildHeader = 'x-young-oak'
/** Names the seat that a page was loaded for, so that nothing is stored under another's name. */
export const seatHeader = 'x-young-oak-seat'
