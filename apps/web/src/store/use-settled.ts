import { useRef } from 'react';
import { useAppSelector } from './store.ts';

/**
 * A value as it was before the gesture that is under way: for what nobody can use while something is dragged, such
 * as codes to copy, so that the frame is left to what moves.
 */
export function useSettled<T>(value: T): T {
  const moving = useAppSelector((state) => state.project?.shown !== state.project?.document);
  const settled = useRef(value);
  if (!moving) settled.current = value;
  return settled.current;
}
