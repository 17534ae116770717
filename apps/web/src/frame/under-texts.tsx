import { useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import { useDocumentPart, useProjectId } from '../store/selectors.ts';
import type { AppStore } from '../store/store.ts';
import { fetchUnderTexts } from './fetch-under-texts.ts';

/** How long a region rests before its colours are fetched, and before they are asked for again, ms. */
const REST_MS = 120;
const AGAIN_MS = 5000;
/** However often it failed, ms. */
const LONGEST_AGAIN_MS = 60_000;

/** Sees to it that the colours of what lies under texts are there, so that what is counted is true. */
export default function UnderTexts() {
  const pairs = useDocumentPart('pairs');
  const pictures = useDocumentPart('pictures');
  const project = useProjectId();
  const store = useStore() as AppStore;
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let over = false;
    const look = async () => {
      const { missing } = await fetchUnderTexts(store, project, { pairs, pictures });
      if (missing && !over)
        timer = window.setTimeout(
          () => setTries(tries + 1),
          Math.min(LONGEST_AGAIN_MS, AGAIN_MS * 2 ** tries),
        );
    };
    let timer = window.setTimeout(look, REST_MS);
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [pairs, pictures, project, store, tries]);
  return null;
}
