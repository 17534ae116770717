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

/** How scenes are looked at on the Stage. */
export interface StageView {
  /** All themes side by side, or the one that is switched on. */
  readonly themes: 'all' | 'one';
  /** CSS px for which a scene is laid out; null for its own. */
  readonly width: number | null;
  /** How large it is shown, 1 for its real size; null for as much as fits. */
  readonly zoom: number | null;
  /** All states of what can be pressed at once. */
  readonly states: boolean;
  /** Texts that fall short where they stand are marked. */
  readonly marks: boolean;
  /** Open notes are pinned to what they are on. */
  readonly notes: boolean;
  /** What families and roles cover of them is told. */
  readonly shares: boolean;
  /** Who scenes are shown to be seen by; null for as they are. */
  readonly reader: Reader | null;
}

interface InterfaceState {
  readonly theme: string | null;
  readonly selection: Selection | null;
  /** The dialog of the frame that is open; `help:` with what is asked about. */
  readonly dialog: 'finder' | 'shortcuts' | 'rename' | `help:${string}` | null;
  readonly surround: boolean;
  /** Who everything is shown to be seen by; null for as it is. */
  readonly reader: Reader | null;
  /** Of a colour vision deficiency, 0–1. */
  readonly severity: number;
  readonly stage: StageView;
  /** The station to which one comes back from what it led to; null where one went by oneself. */
  readonly cameFrom: 'deliver' | null;
}

const initialState: InterfaceState = {
  theme: null,
  selection: null,
  dialog: null,
  surround: false,
  reader: null,
  severity: 1,
  cameFrom: null,
  stage: {
    themes: 'all',
    width: null,
    zoom: null,
    states: false,
    marks: false,
    notes: false,
    shares: false,
    reader: null,
  },
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
    wentFrom(state, { payload }: PayloadAction<InterfaceState['cameFrom']>) {
      state.cameFrom = payload;
    },
    stageViewed(state, { payload }: PayloadAction<Partial<StageView>>) {
      Object.assign(state.stage, payload);
    },
    /** Another project: nothing of the old one stays selected. */
    projectChanged: ({ surround, reader, severity, stage }) => ({
      ...initialState,
      surround,
      reader,
      severity,
      stage,
    }),
  },
});

export const {
  themeChosen,
  selected,
  dialogOpened,
  surroundSwitched,
  readerChosen,
  severitySet,
  stageViewed,
  wentFrom,
  projectChanged,
} = slice.actions;
export const interfaceReducer = slice.reducer;
