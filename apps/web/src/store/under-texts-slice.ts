import type { LayeredMeasuring } from '@mint-lamp/core/judged/pairs/layered';
import { NO_REGIONS, type Regions } from '@mint-lamp/core/system/pictures/regions';
import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';

/** What texts that do not stand on one colour are measured with, as far as it was fetched. */
interface UnderTextsState {
  /** The colours of the regions of pictures that texts lie over; what a key says never changes. */
  readonly regions: Regions;
  /** How such pairs are measured; null until that part is there, and they are awaited. */
  readonly layers: LayeredMeasuring | null;
}

const initialState: UnderTextsState = { regions: NO_REGIONS, layers: null };

// What is kept here is large or made of functions: it is put in place as a whole and never drafted.
const settled = (draft: object) => original(draft) as UnderTextsState;

const slice = createSlice({
  name: 'underTexts',
  initialState: () => initialState,
  reducers: {
    regionsCame: (draft, { payload: regions }: PayloadAction<Regions>) => ({ ...settled(draft), regions }),
    layersCame: (draft, { payload: layers }: PayloadAction<LayeredMeasuring>) => ({
      ...settled(draft),
      layers,
    }),
  },
});

export const { regionsCame, layersCame } = slice.actions;
export const underTextsReducer = slice.reducer;
