import { useCallback, useRef } from 'react';
import { toast } from 'sonner';
import { newSwatches } from '../../../kinds/tray/new-swatches.ts';
import { useEditing } from '../../../store/editing.ts';
import { useDocumentPart } from '../../../store/selectors.ts';

/** Puts colours into the tray that are not there yet, and says so. */
export function useCollecting() {
  const tray = useDocumentPart('tray');
  const { edit } = useEditing();
  const inTray = new Set(tray.map((swatch) => swatch.color));
  const collect = (colors: readonly string[]) => {
    const fresh = colors.filter((color) => !inTray.has(color));
    if (!fresh.length) {
      toast('They are in the tray already.');
      return;
    }
    const commands = newSwatches(fresh).map((swatch) => ({ type: 'addSwatch' as const, swatch }));
    const label = commands.length === 1 ? 'collect 1 colour' : `collect ${commands.length} colours`;
    if (edit({ type: 'batch', label, commands }))
      toast(
        `${commands.length === 1 ? 'One colour is' : `${commands.length} colours are`} in the tray below`,
      );
  };
  const latest = useRef(collect);
  latest.current = collect;
  /** The same function for as long as the view is there, so that what has not changed is not drawn again. */
  const onCollect = useCallback((colors: readonly string[]) => latest.current(colors), []);
  return { inTray, collect, onCollect };
}
