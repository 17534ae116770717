import type { Cast } from './scene-uses.ts';
import type { SceneWords } from './scene-words.ts';

/** What is kept for the scenes of a project: what paints them by choice, and what they say of its own. */
export interface Scenes {
  readonly cast: Cast;
  readonly words: SceneWords;
}
