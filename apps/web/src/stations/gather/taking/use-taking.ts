import type { TextOver } from '@mint-lamp/core/document/pictures/picture';
import type { FittedStop } from '@mint-lamp/core/gradient/fit';
import { useMemo, useRef } from 'react';
import { useStore } from 'react-redux';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { addressOf } from '../../../addresses.ts';
import { edit } from '../../../store/editing.ts';
import { selectProject, selectSystem } from '../../../store/selectors.ts';
import type { AppStore } from '../../../store/store.ts';
import { toFamilies, toFollowing, toGradient, toPair, toTray } from './take-colors.ts';

export interface Taking {
  readonly tray: (colors: readonly string[]) => void;
  readonly families: (colors: readonly string[]) => void;
  readonly gradient: (colors: readonly string[]) => void;
  /** A gradient with stops at places of its own, linked to shades within a ΔE OK. */
  readonly line: (stops: readonly FittedStop[], within: number) => void;
  readonly pair: (text: TextOver, ground: string) => void;
}

/**
 * The ways to take colours from something with a name, which their group in the tray and their gradient are called
 * after. What is returned is the same for as long as the
 * view is there, and does not follow the document: that is looked at when something is taken.
 */
export function useTaking(from: string): Taking {
  const store = useStore() as AppStore;
  const navigate = useNavigate();
  const latest = useRef({ from });
  latest.current = { from };
  return useMemo(() => {
    const now = () => ({ ...latest.current, ...selectProject(store.getState()) });
    const see = (
      label: string,
      ...to: Parameters<typeof addressOf> extends [string, ...infer R] ? R : never
    ) => ({
      action: { label, onClick: () => navigate(addressOf(now().id, ...to)) },
    });
    return {
      tray(colors) {
        const { document, from: group } = now();
        const command = toTray(document, colors, group);
        if (!command) toast('They are in the tray already.');
        else if (store.dispatch(edit(command))) {
          const n = command.type === 'batch' ? command.commands.length : 1;
          toast(`${n === 1 ? 'One colour is' : `${n} colours are`} in the tray below`);
        }
      },
      families(colors) {
        const { document } = now();
        const command = toFamilies(document, colors);
        if (!command || !store.dispatch(edit(command))) return;
        const first = command.type === 'batch' ? command.commands[0] : null;
        const family = first?.type === 'addFamily' ? [first.family.id] : [];
        toast(
          colors.length === 1 ? 'A family was made' : `${colors.length} families were made`,
          see('See at Grow', 'grow', ...family),
        );
      },
      gradient(colors) {
        const { document, from: name } = now();
        const gradient = toGradient(document, colors, name);
        if (store.dispatch(edit({ type: 'addGradient', gradient })))
          toast(`The gradient ${gradient.name} was made`, see('See at Fade', 'fade', gradient.id));
      },
      line(stops, within) {
        const { document, from: name } = now();
        const gradient = toFollowing(selectSystem(store.getState()), document, stops, name, within);
        if (gradient && store.dispatch(edit({ type: 'addGradient', gradient })))
          toast(`The gradient ${gradient.name} was made`, see('See at Fade', 'fade', gradient.id));
      },
      pair(text, ground) {
        const { command, pair } = toPair(now().document, text, ground);
        if (store.dispatch(edit(command)))
          toast('Two roles and their pair were made, in every theme', see('See at Check', 'check', pair));
      },
    };
  }, [store, navigate]);
}
