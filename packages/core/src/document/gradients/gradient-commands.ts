import type { ConicGradient, LinearGradient, RadialGradient } from '../../gradient/model.ts';
import type { Step, StepsOf, WordsOf } from '../commands/definition.ts';
import { indexOf, inserted, moved, replaced, without } from '../commands/lists.ts';
import { Refusal } from '../commands/refusal.ts';
import type { Link } from '../links/link.ts';
import { checkName, nameIn } from '../naming/names.ts';
import {
  type Gradient,
  type GradientShape,
  isInOrder,
  MOST_GRADIENTS,
  MOST_STOPS,
  percents,
  type Stop,
  shapeOf,
  stopsOf,
} from './gradient.ts';

/** What of a gradient can be changed without changing its kind; what the kind does not have is refused. */
export type GradientChange = Partial<
  Pick<LinearGradient, 'repeating' | 'space' | 'hueWay' | 'direction'> &
    Pick<RadialGradient, 'shape' | 'size' | 'center'> &
    Pick<ConicGradient, 'from'> & {
      /** Null takes it away. */
      readonly group: string | null;
      readonly favourite: true | null;
    }
>;

type Items = Gradient['stops'];

/** What these commands look at. */
export interface GradientLists {
  readonly gradients: readonly Gradient[];
}

export type GradientCommand =
  | { readonly type: 'addGradient'; readonly gradient: Gradient; readonly index?: number }
  | { readonly type: 'removeGradient'; readonly gradient: string }
  | { readonly type: 'renameGradient'; readonly gradient: string; readonly name: string }
  | { readonly type: 'moveGradient'; readonly gradient: string; readonly index: number }
  | { readonly type: 'setGradient'; readonly gradient: string; readonly change: GradientChange }
  /** Makes it another kind, or lays it otherwise; its stops stay. */
  | { readonly type: 'shapeGradient'; readonly gradient: string; readonly shape: GradientShape }
  /** All stops and hints at once, in order. */
  | { readonly type: 'setStops'; readonly gradient: string; readonly stops: Items }
  | { readonly type: 'addStop'; readonly gradient: string; readonly stop: Stop; readonly index?: number }
  | { readonly type: 'removeStop'; readonly gradient: string; readonly stop: string }
  | {
      readonly type: 'moveStop';
      readonly gradient: string;
      readonly stop: string;
      readonly places: Stop['places'];
      /** Place among the stops and hints; left out, it follows from the places. */
      readonly index?: number;
    }
  | { readonly type: 'linkStop'; readonly gradient: string; readonly stop: string; readonly link: Link };

function find(doc: GradientLists, id: string): { index: number; gradient: Gradient } {
  const index = indexOf(doc.gradients, id, 'gradient');
  return { index, gradient: doc.gradients[index]! };
}

/** The document with one gradient changed; `part` is of the gradient's own kind. */
function change(doc: GradientLists, index: number, part: Partial<Gradient>): GradientLists {
  const gradient = { ...doc.gradients[index]!, ...part } as Gradient;
  return { ...doc, gradients: replaced(doc.gradients, index, gradient) };
}

/** The place of a stop among a gradient's stops and hints; refuses when it is gone. */
function stopIndex(items: Items, id: string): number {
  const index = items.findIndex((item) => item.kind === 'stop' && item.id === id);
  if (index === -1) throw new Refusal('This stop no longer exists.');
  return index;
}

/** Where an item at some places belongs: after all others that lie at or before it. */
function placeFor(items: Items, places: Stop['places']): number {
  const own = places[0].unit === '%' ? places[0].value : null;
  if (own === null) return items.length;
  const after = items.findIndex((item) => (percents(item)?.[0] ?? Number.NEGATIVE_INFINITY) > own);
  return after === -1 ? items.length : after;
}

/** Refuses an order that contradicts the places, as may come of two people moving stops at once. */
function checkOrder(items: Items): Items {
  if (!isInOrder(items))
    throw new Refusal('The stops have moved meanwhile, so this one no longer fits there.');
  return items;
}

const OF_ALL = ['repeating', 'space', 'hueWay', 'group', 'favourite'];
const KEYS: { readonly [K in Gradient['kind']]: ReadonlySet<string> } = {
  linear: new Set([...OF_ALL, 'direction']),
  radial: new Set([...OF_ALL, 'shape', 'size', 'center']),
  conic: new Set([...OF_ALL, 'from', 'center']),
};

/** A gradient without what a change takes away. */
function stripped(gradient: Gradient, change: GradientChange): Gradient {
  const gone = new Set(Object.entries(change).flatMap(([key, value]) => (value === null ? [key] : [])));
  return gone.size
    ? (Object.fromEntries(Object.entries(gradient).filter(([key]) => !gone.has(key))) as unknown as Gradient)
    : gradient;
}

function withStops(
  doc: GradientLists,
  id: string,
  stops: Items,
  back: GradientCommand,
): Step<GradientCommand, GradientLists> {
  return [change(doc, find(doc, id).index, { stops }), back];
}

export const gradientSteps: StepsOf<GradientCommand, GradientLists> = {
  addGradient(doc, { gradient, index }) {
    checkName(gradient.name, doc.gradients, gradient.id, 'gradient');
    return [
      { gradients: inserted(doc.gradients, gradient, index, MOST_GRADIENTS, 'gradient') },
      { type: 'removeGradient', gradient: gradient.id },
    ];
  },

  removeGradient(doc, { gradient: id }) {
    const { index, gradient } = find(doc, id);
    return [{ gradients: without(doc.gradients, index) }, { type: 'addGradient', gradient, index }];
  },

  renameGradient(doc, { gradient: id, name }) {
    const { index, gradient } = find(doc, id);
    checkName(name, doc.gradients, id, 'gradient');
    return [change(doc, index, { name }), { type: 'renameGradient', gradient: id, name: gradient.name }];
  },

  moveGradient(doc, { gradient: id, index }) {
    const from = indexOf(doc.gradients, id, 'gradient');
    return [
      { gradients: moved(doc.gradients, from, index) },
      { type: 'moveGradient', gradient: id, index: from },
    ];
  },

  setGradient(doc, { gradient: id, change: wanted }) {
    const { index, gradient } = find(doc, id);
    const keys = Object.keys(wanted);
    const foreign = keys.find((key) => !KEYS[gradient.kind].has(key));
    if (foreign) throw new Refusal(`${gradient.name} is ${gradient.kind} and has no ${foreign}.`);
    const back: GradientChange = Object.fromEntries(
      keys.map((key) => [key, (gradient as unknown as Record<string, unknown>)[key] ?? null]),
    );
    const next = stripped({ ...gradient, ...wanted } as Gradient, wanted);
    return [
      { gradients: replaced(doc.gradients, index, next) },
      { type: 'setGradient', gradient: id, change: back },
    ];
  },

  shapeGradient(doc, { gradient: id, shape }) {
    const { index, gradient } = find(doc, id);
    const { name, group, favourite, repeating, space, hueWay, stops } = gradient;
    const listed = { ...(group === undefined ? {} : { group }), ...(favourite ? { favourite } : {}) };
    const next = { id, name, ...listed, repeating, space, hueWay, stops, ...shape } as Gradient;
    return [
      { gradients: replaced(doc.gradients, index, next) },
      { type: 'shapeGradient', gradient: id, shape: shapeOf(gradient) },
    ];
  },

  setStops(doc, { gradient: id, stops }) {
    const { gradient } = find(doc, id);
    const count = stops.filter(({ kind }) => kind === 'stop').length;
    if (count < 2) throw new Refusal('A gradient needs at least two stops.');
    if (count > MOST_STOPS) throw new Refusal(`A gradient holds at most ${MOST_STOPS} stops.`);
    const back = { type: 'setStops', gradient: id, stops: gradient.stops } as const;
    return withStops(doc, id, checkOrder(stops), back);
  },

  addStop(doc, { gradient: id, stop, index }) {
    const { stops } = find(doc, id).gradient;
    if (stops.some((item) => item.kind === 'stop' && item.id === stop.id))
      throw new Refusal('This stop exists already.');
    if (stopsOf(find(doc, id).gradient).length >= MOST_STOPS)
      throw new Refusal(`A gradient holds at most ${MOST_STOPS} stops.`);
    const at = Math.min(index ?? placeFor(stops, stop.places), stops.length);
    const next = checkOrder([...stops.slice(0, at), stop, ...stops.slice(at)]);
    return withStops(doc, id, next, { type: 'removeStop', gradient: id, stop: stop.id });
  },

  removeStop(doc, { gradient: id, stop }) {
    const { gradient } = find(doc, id);
    const index = stopIndex(gradient.stops, stop);
    if (stopsOf(gradient).length <= 2) throw new Refusal('A gradient needs at least two stops.');
    const old = gradient.stops[index] as Stop;
    return withStops(doc, id, without(gradient.stops, index), {
      type: 'addStop',
      gradient: id,
      stop: old,
      index,
    });
  },

  moveStop(doc, { gradient: id, stop, places, index }) {
    const { stops } = find(doc, id).gradient;
    const from = stopIndex(stops, stop);
    const old = stops[from] as Stop;
    const others = without(stops, from);
    const before = from > 0 ? percents(others[from - 1]!) : null;
    const stay = before && places[0].unit === '%' && before[1] === places[0].value;
    const to = index ?? (stay ? from : placeFor(others, places));
    const next = checkOrder(moved(replaced(stops, from, { ...old, places }), from, to));
    return withStops(doc, id, next, {
      type: 'moveStop',
      gradient: id,
      stop,
      places: old.places,
      index: from,
    });
  },

  linkStop(doc, { gradient: id, stop, link }) {
    const { stops } = find(doc, id).gradient;
    const index = stopIndex(stops, stop);
    const old = stops[index] as Stop;
    const next = replaced(stops, index, { ...old, color: link });
    return withStops(doc, id, next, { type: 'linkStop', gradient: id, stop, link: old.color });
  },
};

export const gradientWords: WordsOf<GradientCommand, GradientLists> = {
  addGradient: (_, { gradient }) => `add the gradient ${gradient.name}`,
  removeGradient: (doc, { gradient }) => `remove the gradient ${nameIn(doc.gradients, gradient)}`,
  renameGradient: (doc, { gradient, name }) => `rename ${nameIn(doc.gradients, gradient)} to ${name}`,
  moveGradient: (doc, { gradient }) => `move ${nameIn(doc.gradients, gradient)}`,
  setGradient: (doc, { gradient }) => `change ${nameIn(doc.gradients, gradient)}`,
  shapeGradient: (doc, { gradient }) => `change the shape of ${nameIn(doc.gradients, gradient)}`,
  setStops: (doc, { gradient }) => `arrange the stops of ${nameIn(doc.gradients, gradient)}`,
  addStop: (doc, { gradient }) => `add a stop to ${nameIn(doc.gradients, gradient)}`,
  removeStop: (doc, { gradient }) => `remove a stop of ${nameIn(doc.gradients, gradient)}`,
  moveStop: (doc, { gradient }) => `move a stop of ${nameIn(doc.gradients, gradient)}`,
  linkStop: (doc, { gradient }) => `change a stop of ${nameIn(doc.gradients, gradient)}`,
};
