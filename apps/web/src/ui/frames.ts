/** Is told what the moves of the frame came to until they were drawn, ms; null where there were none. */
export type Follower = (moved: number | null) => void;

/** What is made in the next frame, and what follows in it. */
let moves = new Set<() => void>();
let followers = new Set<Follower>();
let isAsked = false;
/** Whether moves wait for one frame. */
let isKept = false;

/** Runs each, also those whose turn comes after one that fails. */
function runAll<Run>(all: ReadonlySet<Run>, run: (one: Run) => void): void {
  for (const one of all)
    try {
      run(one);
    } catch (error) {
      reportError(error);
    }
}

function ask(): void {
  if (isAsked) return;
  isAsked = true;
  let begun: number | null = null;
  requestAnimationFrame(() => {
    if (isKept || !moves.size) return;
    begun = performance.now();
    const now = moves;
    moves = new Set();
    runAll(now, (move) => move());
  });
  // A callback of its own: what React draws of moves is drawn between the two.
  requestAnimationFrame(() => {
    isAsked = false;
    isKept = false;
    const now = followers;
    followers = new Set();
    const moved = begun === null ? null : performance.now() - begun;
    runAll(now, (follow) => follow(moved));
    if (moves.size || followers.size) ask();
  });
}

/**
 * Makes a move with the next frame, once however often it is asked for: a pointer may tell of several in one, each of
 * which would be drawn for nothing.
 */
export function withNextFrame(move: () => void): void {
  moves.add(move);
  ask();
}

/** The move is not to be made after all, or has been. */
export const notWithNextFrame = (move: () => void): void => void moves.delete(move);

/** Runs something once the moves of the frame that is due have been made and drawn. */
export function afterMoves(follow: Follower): void {
  followers.add(follow);
  ask();
}

/** Runs something in the next frame, and has the moves wait for the one after that. */
export function insteadOfMoves(follow: Follower): void {
  isKept = true;
  afterMoves(follow);
}

/** It is not to be run after all. */
export const notAfterMoves = (follow: Follower): void => void followers.delete(follow);
