import { type Light, litLink } from '../lit-color.ts';

export const lightStop: Light<'stop'> = (_system, theme, selection) => {
  const resolved = theme.gradients.get(selection.gradient);
  const index = resolved?.stops.findIndex((stop) => stop.id === selection.stop) ?? -1;
  const stop = resolved?.stops[index];
  if (!resolved || !stop) return null;
  const { id, name } = resolved.gradient;
  const color = resolved.colors[index] ?? null;
  return litLink(
    {
      key: `stop ${stop.id} ${theme.theme.id}`,
      title: `${name}, stop ${index + 1}`,
      kind: 'stop of a gradient',
      painted: color,
      problem: color ? null : 'Its link is broken.',
      link: stop.color,
    },
    (link) => ({ type: 'linkStop', gradient: id, stop: stop.id, link }),
  );
};
