import type { FormId } from '@mint-lamp/core/document/delivery/forms';
import type { Written } from '@mint-lamp/core/exchange/handed-over';
import { useCallback, useState } from 'react';
import { useStore } from 'react-redux';
import { reasonOf } from '../../fetching/api.ts';
import { useKeepHandOverMutation } from '../../fetching/hand-overs-api.ts';
import { selectSettledDocument, useProjectId } from '../../store/selectors.ts';
import type { AppStore } from '../../store/store.ts';
import { whenSaved } from '../../store/when-saved.ts';
import { save } from '../../ui/save-file.ts';

/** What was handed over a moment ago, and how keeping it goes. */
export type HandedState =
  | { readonly as: 'kept' | 'keeping'; readonly file: string }
  | { readonly as: 'not kept'; readonly file: string; readonly reason: string };

interface HandOverFile {
  readonly file: string;
  readonly content: Written;
  readonly mediaType: string;
  readonly forms: readonly FormId[];
}

export interface HandingOver {
  readonly state: HandedState | null;
  readonly hand: (what: HandOverFile) => void;
}

/** Hands a file to the browser, and keeps on the server that it was handed over, of which revision. */
export function useHandOver(): HandingOver {
  const id = useProjectId();
  const store = useStore() as AppStore;
  const [keep] = useKeepHandOverMutation();
  const [state, setState] = useState<HandedState | null>(null);
  const hand = useCallback(
    ({ file, content, mediaType, forms }: HandOverFile) => {
      const { choices, leftOut } = selectSettledDocument(store.getState()).delivery;
      save(file, content, mediaType);
      setState({ as: 'keeping', file });
      whenSaved(store, id)
        .then((revision) => keep({ project: id, revision, what: { forms, choices, leftOut, file } }).unwrap())
        .then(
          () => setState({ as: 'kept', file }),
          (error: unknown) =>
            setState({
              as: 'not kept',
              file,
              reason:
                error instanceof Error ? error.message : reasonOf(error as Parameters<typeof reasonOf>[0]),
            }),
        );
    },
    [store, id, keep],
  );
  return { state, hand };
}
