import { slugsOf } from '@mint-lamp/core/document/naming/names';
import { useCallback } from 'react';
import { useEditing } from '../../store/editing.ts';
import { useProjectDocument } from '../../store/selectors.ts';
import { newFamily } from './new-family.ts';

/** Makes a family of a colour; returns its id. A name that is taken gets a number. */
export function useNewFamily() {
  const { families } = useProjectDocument();
  const { edit } = useEditing();
  return useCallback(
    (color: string, wanted: string): string | null => {
      const name = wanted.charAt(0).toUpperCase() + wanted.slice(1);
      const family = newFamily(color, name, slugsOf(families));
      return edit({ type: 'addFamily', family }) ? family.id : null;
    },
    [families, edit],
  );
}
