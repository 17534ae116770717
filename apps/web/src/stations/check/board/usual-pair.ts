import type { Content, Level } from '@mint-lamp/core/contrast/targets';
import type { Pair } from '@mint-lamp/core/document/pairs/pair';
import { newId } from '../../../store/editing.ts';

/** The usual size of each kind of content, in CSS px. */
export const USUAL_SIZE: Record<Content, number> = { body: 16, large: 24, graphics: 16 };

/** A new pair of two roles, at the usual size of what it is for. */
export const usualPair = (
  foreground: string,
  background: string,
  content: Content = 'body',
  level: Level = 'AA',
): Pair => ({
  id: newId(),
  foreground,
  background,
  target: { level, content },
  size: USUAL_SIZE[content],
  weight: 400,
});
