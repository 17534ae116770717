import type { ProjectDocument } from '@mint-lamp/core/document/document';
import { type Gradient, stopAt } from '@mint-lamp/core/document/gradients/gradient';
import type { Link } from '@mint-lamp/core/document/links/link';
import { freeName, numberedName, slugsOf } from '@mint-lamp/core/document/naming/names';
import { stopsThrough } from '@mint-lamp/core/edits/gradients/cut-gradient';
import { newId } from '../../store/editing.ts';

/** A gradient to begin with: three stops along the first family, or plain greys without one. */
export function newGradient(doc: ProjectDocument): Gradient {
  const family = doc.families[0];
  const labels = family?.growth.labels ?? [];
  const at = (along: number): Link =>
    family
      ? { to: 'shade', family: family.id, shade: labels[Math.round(along * (labels.length - 1))]! }
      : { to: 'color', color: ['#303030', '#808080', '#e0e0e0'][Math.round((1 - along) * 2)]! };
  const stop = (percent: number, along: number) => stopAt(newId(), percent, at(along));
  return {
    id: newId(),
    name: numberedName('Fade', slugsOf(doc.gradients), doc.gradients.length + 1),
    kind: 'linear',
    direction: { by: 'angle', degrees: 90 },
    repeating: false,
    space: 'oklab',
    hueWay: 'shorter',
    stops: [stop(0, 0.9), stop(50, 0.6), stop(100, 0.2)],
  };
}

/** A straight gradient through some links, evenly, under a name that is free. */
export function gradientThrough(doc: ProjectDocument, name: string, links: readonly Link[]): Gradient {
  return {
    id: newId(),
    name: freeName(name, slugsOf(doc.gradients)),
    kind: 'linear',
    direction: { by: 'angle', degrees: 90 },
    repeating: false,
    space: 'oklab',
    hueWay: 'shorter',
    stops: stopsThrough(links, newId),
  };
}

/** The same gradient again, under a name of its own. */
export function copyOf(gradient: Gradient, all: readonly Gradient[]): Gradient {
  const stops = gradient.stops.map((item) => (item.kind === 'stop' ? { ...item, id: newId() } : item));
  return { ...gradient, id: newId(), name: freeName(gradient.name, slugsOf(all)), stops };
}
