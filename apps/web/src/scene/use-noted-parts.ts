import type { Note } from '@mint-lamp/core/document/notes/note';
import type { ResolvedTheme, System } from '@mint-lamp/core/system/resolve';
import type { CastUses } from '@mint-lamp/core/system/scenes/cast';
import { useLayoutEffect, useMemo, useState } from 'react';
import { type NotedPart, notedParts } from './noted-parts.ts';
import { type Pressable, partsOf } from './scene-parts.ts';

/** Where a pin stands, px of the frame. */
interface PinPlace {
  readonly left: number;
  readonly top: number;
}

/** Of a pin, px; it stands at its part's upper right, half beside it so that it covers little. */
const PIN = 24;

interface Scene {
  readonly page: HTMLElement;
  readonly uses: CastUses;
  readonly theme: ResolvedTheme;
  readonly system: System;
  readonly notes: readonly Note[];
  /** Says when the page was laid out otherwise. */
  readonly layout: string;
}

/** The parts of a drawn scene with open notes, each with the place for its pin; pins lie side by side, not on each other. */
export function useNotedParts({
  page,
  uses,
  theme,
  system,
  notes,
  layout,
}: Scene): (NotedPart & { readonly at: PinPlace })[] {
  const [parts, setParts] = useState<readonly { part: Pressable; at: PinPlace }[]>([]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: placed anew when the page is laid out anew
  useLayoutEffect(() => {
    const frame = page.getBoundingClientRect();
    setParts(
      partsOf(page).map((part) => {
        const box = part.element.getBoundingClientRect();
        const left = Math.min(box.right - PIN / 2, frame.right - PIN) - frame.left;
        return { part, at: { left: Math.max(0, left), top: Math.max(0, box.top - frame.top - PIN / 2) } };
      }),
    );
  }, [page, layout]);
  return useMemo(() => {
    const places = new Map(parts.map(({ part, at }) => [part, at]));
    const taken: PinPlace[] = [];
    const free = ({ left, top }: PinPlace): PinPlace => {
      const isTaken = taken.some((one) => Math.abs(one.left - left) < PIN && Math.abs(one.top - top) < PIN);
      return isTaken && left >= PIN ? free({ left: left - PIN, top }) : { left, top };
    };
    return notedParts([...places.keys()], uses, theme, system, notes).map((noted) => {
      const at = free(places.get(noted.part)!);
      taken.push(at);
      return { ...noted, at };
    });
  }, [parts, uses, theme, system, notes]);
}
