import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What the lamp shines on. */
export type Selection =
  | { readonly kind: 'base'; readonly family: string }
  | { readonly kind: 'shade'; readonly family: string; readonly shade: string }
  | { readonly kind: 'role'; readonly role: string }
  | { readonly kind: 'swatch'; readonly swatch: string }
  | { readonly kind: 'stop'; readonly gradient: string; readonly stop: string };

export interface InterfaceState {
  readonly theme: string | null;
  readonly selection: Selection | null;
  readonly dialog: 'finder' | 'shortcuts' | null;
  readonly surround: boolean;
}

const initialState: InterfaceState = { theme: null, selection: null, dialog: null, surround: false };

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
    /** Another project: nothing of the old one stays selected. */
    projectChanged: (state) => ({ ...initialState, surround: state.surround }),
  },
});

export const { themeChosen, selected, dialogOpened, surroundSwitched, projectChanged } = slice.actions;
export const interfaceReducer = slice.reducer;
