import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Where a picture comes from. */
export type Origin =
  | { readonly from: 'file'; readonly name: string; readonly file: Blob }
  | { readonly from: 'address'; readonly address: string };

/** A picture on its way into a project. */
export interface Arrival {
  readonly id: string;
  readonly projectId: string;
  readonly name: string;
  readonly origin: Origin;
  /** 0–1; null while nobody can say. */
  readonly progress: number | null;
  /** Why it did not come, in words; it can be tried again. */
  readonly fault: string | null;
}

const slice = createSlice({
  name: 'arrivals',
  initialState: [] as readonly Arrival[],
  reducers: {
    announced: (arrivals, { payload }: PayloadAction<readonly Arrival[]>) => [...arrivals, ...payload],
    moved(arrivals, { payload: { id, progress } }: PayloadAction<Pick<Arrival, 'id' | 'progress'>>) {
      const arrival = arrivals.find((one) => one.id === id);
      if (arrival) Object.assign(arrival, { progress, fault: null });
    },
    failed(arrivals, { payload: { id, fault } }: PayloadAction<Pick<Arrival, 'id' | 'fault'>>) {
      const arrival = arrivals.find((one) => one.id === id);
      if (arrival) Object.assign(arrival, { progress: null, fault });
    },
    /** It has come, or was let go of. */
    dropped: (arrivals, { payload: id }: PayloadAction<string>) => arrivals.filter((one) => one.id !== id),
  },
});

export const { announced, moved, failed, dropped } = slice.actions;
export const arrivalsReducer = slice.reducer;
