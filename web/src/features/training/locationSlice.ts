import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** Where the member says they train today; undefined is where they usually do. It lasts as long as the page. */
const locationSlice = createSlice({
  name: 'location',
  initialState: { at: undefined as string | undefined },
  reducers: {
    trainAt(state, { payload }: PayloadAction<string | undefined>) {
      state.at = payload
    },
  },
})

export const { trainAt } = locationSlice.actions
export const locationReducer = locationSlice.reducer
