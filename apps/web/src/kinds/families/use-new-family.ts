import { readColor } from '@mint-lamp/core/color/parse';
import { canonical } from '@mint-lamp/core/color/write';
import { USUAL_GROWTH } from '@mint-lamp/core/family/growth';
import { freeName, slugsOf } from '@mint-lamp/core/system/names';
import { useCallback } from 'react';
import { newId, useEditing } from '../../store/editing.ts';
import { useProjectDocument } from '../../store/selectors.ts';

/** Makes a family of a colour; returns its id. A name that is taken gets a number. */
export function useNewFamily() {
  const { families } = useProjectDocument();
  const { edit } = useEditing();
  return useCallback(
    (color: string, wanted: string): string | null => {
      const stem = wanted.charAt(0).toUpperCase() + wanted.slice(1, 70).trimEnd();
      const name = freeName(stem, slugsOf(families));
      const id = newId();
      const base = canonical({ ...readColor(color), alpha: 1 });
      const made = edit({ type: 'addFamily', family: { id, name, base, growth: USUAL_GROWTH, handSet: {} } });
      return made ? id : null;
    },
    [families, edit],
  );
}
