import { type Gradient, LIMITS, type ProjectDocument, type Stop } from '../document.ts';
import type { CommandOf, GradientChange } from './command.ts';
import { indexOf, inserted, moved, Refusal, replaced, without } from './lists.ts';
import { checkName } from './naming.ts';
import type { Step } from './step.ts';

function change(
  doc: ProjectDocument,
  id: string,
  part: (old: Gradient) => Partial<Gradient>,
): ProjectDocument {
  const index = indexOf(doc.gradients, id, 'gradient');
  const old = doc.gradients[index]!;
  return { ...doc, gradients: replaced(doc.gradients, index, { ...old, ...part(old) }) };
}

const stopsOf = (doc: ProjectDocument, id: string) =>
  doc.gradients[indexOf(doc.gradients, id, 'gradient')]!.stops;

export function addGradient(doc: ProjectDocument, { gradient, index }: CommandOf<'addGradient'>): Step {
  checkName(gradient.name, doc.gradients, gradient.id, 'gradient');
  return [
    { ...doc, gradients: inserted(doc.gradients, gradient, index, LIMITS.gradients, 'gradient') },
    { type: 'removeGradient', gradient: gradient.id },
  ];
}

export function removeGradient(doc: ProjectDocument, { gradient }: CommandOf<'removeGradient'>): Step {
  const index = indexOf(doc.gradients, gradient, 'gradient');
  return [
    { ...doc, gradients: without(doc.gradients, index) },
    { type: 'addGradient', gradient: doc.gradients[index]!, index },
  ];
}

export function renameGradient(doc: ProjectDocument, { gradient, name }: CommandOf<'renameGradient'>): Step {
  const old = doc.gradients[indexOf(doc.gradients, gradient, 'gradient')]!.name;
  checkName(name, doc.gradients, gradient, 'gradient');
  return [change(doc, gradient, () => ({ name })), { type: 'renameGradient', gradient, name: old }];
}

export function setGradient(doc: ProjectDocument, command: CommandOf<'setGradient'>): Step {
  const old = doc.gradients[indexOf(doc.gradients, command.gradient, 'gradient')]!;
  const back: GradientChange = Object.fromEntries(
    Object.keys(command.change).map((key) => [key, old[key as keyof GradientChange]]),
  );
  return [
    change(doc, command.gradient, () => command.change),
    { type: 'setGradient', gradient: command.gradient, change: back },
  ];
}

/** Where a stop at a position belongs: after all others at or before it. */
function placeFor(stops: readonly Stop[], position: number): number {
  const after = stops.findIndex((stop) => stop.position > position);
  return after === -1 ? stops.length : after;
}

/** Refuses an order that contradicts the positions, as may come of two people moving stops at once. */
function checkOrder(stops: readonly Stop[]): readonly Stop[] {
  if (stops.some((stop, i) => i > 0 && stop.position < stops[i - 1]!.position))
    throw new Refusal('The stops have been moved meanwhile; this one does not fit there any more.');
  return stops;
}

export function addStop(doc: ProjectDocument, { gradient, stop, index }: CommandOf<'addStop'>): Step {
  const stops = stopsOf(doc, gradient);
  const at = index ?? placeFor(stops, stop.position);
  const next = checkOrder(inserted(stops, stop, at, LIMITS.stops, 'stop'));
  return [change(doc, gradient, () => ({ stops: next })), { type: 'removeStop', gradient, stop: stop.id }];
}

export function removeStop(doc: ProjectDocument, { gradient, stop }: CommandOf<'removeStop'>): Step {
  const stops = stopsOf(doc, gradient);
  const index = indexOf(stops, stop, 'stop');
  if (stops.length <= 2) throw new Refusal('A gradient needs at least two stops.');
  return [
    change(doc, gradient, () => ({ stops: without(stops, index) })),
    { type: 'addStop', gradient, stop: stops[index]!, index },
  ];
}

export function moveStop(doc: ProjectDocument, command: CommandOf<'moveStop'>): Step {
  const { gradient, stop, position } = command;
  const stops = stopsOf(doc, gradient);
  const from = indexOf(stops, stop, 'stop');
  const old = stops[from]!;
  const others = without(stops, from);
  const stay = from > 0 && others[from - 1]!.position === position ? from : placeFor(others, position);
  const to = command.index ?? stay;
  const next = checkOrder(moved(replaced(stops, from, { ...old, position }), from, to));
  return [
    change(doc, gradient, () => ({ stops: next })),
    { type: 'moveStop', gradient, stop, position: old.position, index: from },
  ];
}

export function linkStop(doc: ProjectDocument, { gradient, stop, link }: CommandOf<'linkStop'>): Step {
  const stops = stopsOf(doc, gradient);
  const index = indexOf(stops, stop, 'stop');
  const old = stops[index]!;
  return [
    change(doc, gradient, () => ({ stops: replaced(stops, index, { ...old, link }) })),
    { type: 'linkStop', gradient, stop, link: old.link },
  ];
}
