import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** Where the member says they train today; undefined is where they usually do. It lasts as long as the page. */
const placeSlice = createSlice({
  name: 'place',
  initialState: { at: undefined as string | undefined },
  reducers: {
    trainAt(state, { payload }: PayloadAction<string | undefined>) {
      state.at = payload
    },
  },
})

export const { trainAt } = placeSlice.actions
export const placeReducer = placeSlice.reducer
