import { useEffect, useState } from 'react';
import { regionsCame } from '../store/interface-slice.ts';
import { fetchRegions } from '../store/regions.ts';
import { useDocumentPart, useProjectId } from '../store/selectors.ts';
import { useAppDispatch } from '../store/store.ts';

/** How long a region rests before its colours are fetched, and before they are asked for again, ms. */
const REST_MS = 120;
const AGAIN_MS = 5000;

/** Sees to it that the colours of pictures under texts are there, so that what is counted is true. */
export default function PictureRegions() {
  const pairs = useDocumentPart('pairs');
  const pictures = useDocumentPart('pictures');
  const project = useProjectId();
  const dispatch = useAppDispatch();
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let over = false;
    const look = () =>
      fetchRegions(project, { pairs, pictures }).then(
        (came) => {
          if (came && !over) dispatch(regionsCame());
        },
        () => {
          if (!over) timer = window.setTimeout(() => setTries(tries + 1), AGAIN_MS);
        },
      );
    let timer = window.setTimeout(look, REST_MS);
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [pairs, pictures, project, dispatch, tries]);
  return null;
}
