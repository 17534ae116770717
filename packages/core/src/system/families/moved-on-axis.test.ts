import { describe, expect, it } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { resolveSystem } from '../resolve.ts';
import { movedOnAxis } from './moved-on-axis.ts';

const doc = after(
  SKERRY_LINE,
  {
    type: 'setLink',
    role: 'text-quiet',
    theme: 'day',
    link: { to: 'shade', family: 'shingle', shade: '600', opacity: 0.8 },
  },
  { type: 'setLink', role: 'focus-ring', theme: 'day', link: { to: 'role', role: 'action-fill' } },
  { type: 'setLink', role: 'line-soft', theme: 'day', link: { to: 'color', color: '#0b5f6b' } },
);
const system = resolveSystem(doc);
const moved = (role: string, lightness: number) =>
  movedOnAxis(system.families, system.themes.get('day')!.roles.get(role)!, lightness);

describe('a role moved on the light axis', () => {
  it('goes to the nearest shade of its family, with its opacity; by way of another role too', () => {
    expect(moved('text-quiet', 0)).toEqual({ to: 'shade', family: 'shingle', shade: '950', opacity: 0.8 });
    expect(moved('text-quiet', 100)).toEqual({ to: 'shade', family: 'shingle', shade: '50', opacity: 0.8 });
    expect(moved('focus-ring', 37)).toEqual({ to: 'shade', family: 'deepwater', shade: '700' });
  });

  it('is as light as is wanted where it is a plain colour, and nothing where it has none', () => {
    const link = moved('line-soft', 60);
    expect(link?.to).toBe('color');
    const again = after(doc, { type: 'setLink', role: 'line-soft', theme: 'day', link: link! });
    expect(resolveSystem(again).themes.get('day')!.roles.get('line-soft')!.color!.css).not.toBe('#0b5f6b');
    expect(movedOnAxis(system.families, { link: null, source: null, opacity: 1 }, 50)).toBeNull();
  });
});
