import clsx from 'clsx';
import { type ComponentType, memo, type ReactNode, useState } from 'react';
import { Provider, useStore } from 'react-redux';
import { type HeldPlace, HeldPlaceContext } from '../ui/held.ts';
import type { AppState, AppStore } from './store.ts';
import { Turns } from './turns.ts';

/** The store itself, of one that shows it in turns; and who has the turn. */
const wholes = new WeakMap<AppStore, AppStore>();
const turns = new WeakMap<AppStore, Turns>();

function turnsOf(store: AppStore): Turns {
  const known = turns.get(store) ?? new Turns(store);
  turns.set(store, known);
  return known;
}

/** The store as a part of the page sees it: one state for all of the part, which may be some frames old. */
class StoreInTurns {
  readonly place: HeldPlace;
  private isSeen = true;
  private readonly whole: AppStore;
  private readonly every: () => number;
  private state: AppState;
  private readonly listeners = new Set<() => void>();
  private leave: (() => void) | null = null;

  constructor(whole: AppStore, place: HeldPlace, every: () => number) {
    this.whole = whole;
    this.place = place;
    this.every = every;
    this.state = whole.getState();
  }

  readonly dispatch: AppStore['dispatch'] = ((action: Parameters<AppStore['dispatch']>[0]) =>
    this.whole.dispatch(action)) as AppStore['dispatch'];

  // Until it is listened to, and so given its turns, it shows what there is.
  readonly getState = (): AppState => (this.leave ? this.state : this.whole.getState());

  readonly subscribe = (listen: () => void): (() => void) => {
    this.leave ??= this.join();
    this.listeners.add(listen);
    return () => {
      this.listeners.delete(listen);
      if (this.listeners.size) return;
      this.leave?.();
      this.leave = null;
    };
  };

  /** Looks whether an element that it is drawn in can be seen, until the function is called. */
  watch(element: HTMLElement): () => void {
    const observer = new IntersectionObserver((entries) => {
      this.isSeen = entries.at(-1)!.isIntersecting;
    });
    observer.observe(element);
    return () => {
      observer.disconnect();
      this.isSeen = true;
    };
  }

  private join(): () => void {
    this.state = this.whole.getState();
    return turnsOf(this.whole).join({
      place: this.place,
      every: this.every,
      isSeen: () => this.isSeen,
      show: (state) => {
        if (state === this.state) return;
        this.state = state;
        for (const listen of [...this.listeners]) listen();
      },
    });
  }
}

/** The store itself, where a component is in a part of the page that is drawn in turn. */
export function useWholeStore(): AppStore {
  const store = useStore() as AppStore;
  return wholes.get(store) ?? store;
}

interface Turn {
  /** Ms between two turns, at least; for what is read rather than seen. */
  readonly every?: number | (() => number);
  /** Classes of an element around it: what it is drawn in is painted for itself, and waits longer while it is out of sight. */
  readonly box?: string;
}

interface InTurnsProps {
  turn: Turn;
  children: ReactNode;
}

function InTurns({ turn: { every = 0, box }, children }: InTurnsProps) {
  const whole = useWholeStore();
  const [{ inTurns, place, watch }] = useState(() => {
    const place: HeldPlace = {};
    const inTurns = new StoreInTurns(whole, place, typeof every === 'function' ? every : () => every);
    wholes.set(inTurns as unknown as AppStore, whole);
    const watch = (element: HTMLElement | null) => (element ? inTurns.watch(element) : undefined);
    return { inTurns, place, watch };
  });
  return (
    <HeldPlaceContext value={place}>
      <Provider store={inTurns as unknown as AppStore}>
        {box === undefined ? (
          children
        ) : (
          <div ref={watch} className={clsx('isolate empty:hidden', box)}>
            {children}
          </div>
        )}
      </Provider>
    </HeldPlaceContext>
  );
}

/**
 * A part of the page that is drawn in its own turn while something is dragged in another part, be it one that lies in
 * this, and with every move where it is dragged in this one. All in it see the same state; what is handed down into it
 * does not wait for a turn, and had better not change with each move.
 */
export function inTurns<P extends object>(Part: ComponentType<P>, turn: Turn = {}) {
  return memo(function InItsTurn(props: P) {
    return (
      <InTurns turn={turn}>
        <Part {...props} />
      </InTurns>
    );
  });
}

/** For what is read: often enough to follow, seldom enough to be read. */
export const READ: Turn = { every: 100 };
/** The same in a box of its own; see {@link Turn}. */
export const READ_BOX: Turn = { ...READ, box: '' };
