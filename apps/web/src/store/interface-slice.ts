import type { Deficiency } from '@mint-lamp/core/vision/simulate';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What the lamp shines on. */
export type Selection =
  | { readonly kind: 'base'; readonly family: string }
  | { readonly kind: 'shade'; readonly family: string; readonly shade: string }
  | { readonly kind: 'role'; readonly role: string }
  | { readonly kind: 'swatch'; readonly swatch: string }
  | { readonly kind: 'stop'; readonly gradient: string; readonly stop: string };

/** Somebody who sees colours otherwise, or under other circumstances. */
export type Reader = Deficiency | 'blurred' | 'glare';

interface InterfaceState {
  readonly theme: string | null;
  readonly selection: Selection | null;
  readonly dialog: 'finder' | 'shortcuts' | 'rename' | null;
  readonly surround: boolean;
  /** Who everything is shown to be seen by; null for as it is. */
  readonly reader: Reader | null;
  /** Of a colour vision deficiency, 0–1. */
  readonly severity: number;
}

const initialState: InterfaceState = {
  theme: null,
  selection: null,
  dialog: null,
  surround: false,
  reader: null,
  severity: 1,
};

const slice = createSlice({
  name: 'interface',
  initialState,
  reducers: {
    themeChosen(state, { payload }: PayloadAction<string>) {
      state.theme = payload;
    },
    selected(state, { payload }: PayloadAction<Selection | null>) {
      state.selection = payload;
    },
    dialogOpened(state, { payload }: PayloadAction<InterfaceState['dialog']>) {
      state.dialog = payload;
    },
    surroundSwitched(state, { payload }: PayloadAction<boolean>) {
      state.surround = payload;
    },
    readerChosen(state, { payload }: PayloadAction<Reader | null>) {
      state.reader = payload;
    },
    severitySet(state, { payload }: PayloadAction<number>) {
      state.severity = payload;
    },
    /** Another project: nothing of the old one stays selected. */
    projectChanged: ({ surround, reader, severity }) => ({ ...initialState, surround, reader, severity }),
  },
});

export const {
  themeChosen,
  selected,
  dialogOpened,
  surroundSwitched,
  readerChosen,
  severitySet,
  projectChanged,
} = slice.actions;
export const interfaceReducer = slice.reducer;
