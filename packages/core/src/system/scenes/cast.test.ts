import { describe, expect, it, test } from 'vitest';
import { MINT_LAMP_INTERFACE } from '../../demo/interface.ts';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { after } from '../../document/commands/after.fixture.ts';
import { applyCommand } from '../../document/commands/apply.ts';
import { emptyDocument, type ProjectDocument } from '../../document/document.ts';
import type { Pair } from '../../document/pairs/pair.ts';
import type { Role } from '../../document/roles/role.ts';
import { SCENE_USE_IDS, type SceneUse } from '../../document/scenes/scene-uses.ts';
import { resolveSystem } from '../resolve.ts';
import { type CastUse, castOf } from './cast.ts';
import { scenePaints } from './scene-paints.ts';
import { usesByName } from './use-names.ts';

const role = (written: string): Role => {
  const names = written.split('.');
  return {
    id: names.join('-').slice(0, 40),
    group: names.slice(0, -1),
    name: names.at(-1)!,
    links: { light: { to: 'color', color: '#336699' } },
  };
};
const pair = (foreground: string, background: string): Pair => ({
  id: `${foreground}-${background}`.slice(0, 40),
  foreground,
  background,
  target: { level: 'AA', content: 'body' },
  size: 16,
  weight: 400,
});
const withRoles = (names: readonly string[], more: Partial<ProjectDocument> = {}): ProjectDocument => ({
  ...emptyDocument('Bakery', [{ id: 'light', name: 'Light' }]),
  roles: names.map(role),
  ...more,
});
const use = (doc: ProjectDocument, one: SceneUse): CastUse => castOf(doc).get(one)!;
const roleOf = ({ link }: CastUse) => (link?.to === 'role' ? link.role : null);

describe('names of roles', () => {
  test.each<[names: string, use: SceneUse]>([
    ['page.ground', 'page'],
    ['color.bg', 'page'],
    ['body.bg', 'page'],
    ['surface.raised', 'raised'],
    ['cardBackground', 'raised'],
    ['text.main', 'text'],
    ['body-color', 'text'],
    ['text.muted', 'quiet'],
    ['link.color', 'link'],
    ['border', 'line'],
    ['input.border', 'edge'],
    ['focus.ring', 'focus'],
    ['button.primary.bg', 'action'],
    ['btn-hover', 'action-hover'],
    ['primary.text', 'action-text'],
    ['alert.success.bg', 'good'],
    ['error.text', 'danger-text'],
    ['hero.overlay', 'raised'],
  ])('%s says %s', (written, wanted) => {
    const uses = usesByName(written.split('.'));
    if (written === 'hero.overlay') expect(uses.has(wanted)).toBe(false);
    else expect([...uses].sort((a, b) => a[1] - b[1]).map(([one]) => one)).toContain(wanted);
  });

  it('say nothing where they are of something else too', () => {
    expect([...usesByName(['notice', 'delay', 'text']).keys()]).not.toContain('text');
    expect([...usesByName(['page', 'pressed']).keys()]).not.toContain('page');
    expect([...usesByName(['thing']).keys()]).toEqual([]);
  });
});

describe('what paints scenes', () => {
  it('is found for every use in both demo projects, with what stands in', () => {
    for (const doc of [SKERRY_LINE, MINT_LAMP_INTERFACE])
      for (const one of SCENE_USE_IDS) {
        if (one === 'hero-veil') continue;
        expect(use(doc, one).link, one).not.toBeNull();
      }
    expect(use(SKERRY_LINE, 'good')).toMatchObject({ how: 'chosen', link: { role: 'notice-ontime-ground' } });
    expect(use(SKERRY_LINE, 'hero').link).toEqual({ to: 'gradient', gradient: 'first-light' });
    expect(use(MINT_LAMP_INTERFACE, 'action-text')).toMatchObject({
      how: 'pairs',
      link: { role: 'mint-text' },
    });
    expect(use(MINT_LAMP_INTERFACE, 'warning')).toMatchObject({ how: 'stand-in', standIn: 'raised' });
  });

  it('says when several roles do as well by their names, and takes the first', () => {
    const doc = withRoles(['shop.page', 'blog.page', 'text.main']);
    expect(use(doc, 'page')).toMatchObject({ how: 'name', fits: ['shop-page', 'blog-page'] });
    expect(roleOf(use(doc, 'page'))).toBe('shop-page');
    const one = after(doc, { type: 'castUse', use: 'page', link: { to: 'role', role: 'blog-page' } });
    expect(use(one, 'page')).toMatchObject({ how: 'chosen', link: { to: 'role', role: 'blog-page' } });
  });

  it('goes by pairs where names say nothing: the page is what most stands on, its text what stands there most', () => {
    const doc = withRoles(['alpha', 'beta', 'gamma', 'delta'], {
      pairs: [pair('beta', 'alpha'), pair('gamma', 'alpha'), pair('beta', 'delta')],
    });
    expect(use(doc, 'page')).toMatchObject({ how: 'pairs', link: { role: 'alpha' } });
    expect(use(doc, 'text')).toMatchObject({ how: 'pairs', link: { role: 'beta' } });
  });

  it('takes what lies beneath everything for the page, whatever it is called', () => {
    const doc = withRoles(['page.ground', 'linen'], { ground: 'linen' });
    expect(roleOf(use(doc, 'page'))).toBe('linen');
  });

  it('is nothing without roles, and nothing where that was chosen', () => {
    for (const [, entry] of castOf(withRoles([])))
      expect(entry).toMatchObject({ link: null, how: 'nothing' });
    const doc = after(SKERRY_LINE, { type: 'castUse', use: 'hero-veil', link: { to: 'nothing' } });
    expect(use(doc, 'hero-veil')).toMatchObject({ link: null, how: 'chosen' });
  });

  it('comes back to what is found when the chosen role goes', () => {
    const chosen = after(SKERRY_LINE, {
      type: 'castUse',
      use: 'quiet',
      link: { to: 'role', role: 'board-quiet' },
    });
    expect(roleOf(use(chosen, 'quiet'))).toBe('board-quiet');
    const gone = after(chosen, { type: 'removeRole', role: 'board-quiet' });
    expect(use(gone, 'quiet')).toMatchObject({ how: 'name', link: { role: 'text-quiet' } });
  });

  it('lets texts go with what stands in for their ground', () => {
    const doc = withRoles(['page.ground', 'text.main', 'action.fill', 'action.text']);
    expect(use(doc, 'accent')).toMatchObject({ standIn: 'action' });
    expect(use(doc, 'accent-text')).toMatchObject({ standIn: 'action-text' });
    expect(use(doc, 'good-text')).toMatchObject({ standIn: 'text' });
    // A hero that lies on the page's own surface has the page's text, and not the light one of buttons.
    expect(use(doc, 'hero')).toMatchObject({ standIn: 'page' });
    expect(use(doc, 'hero-text')).toMatchObject({ standIn: 'text' });
  });

  it('refuses a gradient for what one colour paints, and takes it for the hero', () => {
    const link = { to: 'gradient', gradient: 'wake' } as const;
    expect(applyCommand(SKERRY_LINE, { type: 'castUse', use: 'page', link })).toMatchObject({
      ok: false,
      reason: 'A role paints page; a gradient cannot.',
    });
    const doc = after(SKERRY_LINE, { type: 'castUse', use: 'hero', link });
    expect(use(doc, 'hero').link).toEqual(link);
  });

  it('stays the same object while it comes to the same, as in a drag', () => {
    const before = castOf(SKERRY_LINE);
    const link = { to: 'color', color: '#123456' } as const;
    const dragged = after(SKERRY_LINE, { type: 'setLink', role: 'action-fill', theme: 'day', link });
    expect(castOf(dragged)).toBe(before);
    const renamed = after(dragged, { type: 'renameRole', role: 'action-fill', group: ['x'], name: 'y' });
    expect(castOf(renamed)).not.toBe(before);
  });
});

describe('paints of scenes', () => {
  it('are those of the roles in each theme; a line has none of a gradient', () => {
    const doc = after(
      SKERRY_LINE,
      { type: 'castUse', use: 'line', link: { to: 'role', role: 'accent-fill' } },
      {
        type: 'setLink',
        role: 'accent-fill',
        theme: 'day',
        link: { to: 'gradient', gradient: 'first-light' },
      },
      { type: 'setLink', role: 'text-link', theme: 'day', link: { to: 'gradient', gradient: 'first-light' } },
    );
    const system = resolveSystem(doc);
    const [day, night] = [...system.themes.values()].map((theme) =>
      scenePaints(castOf(doc), theme, () => null),
    );
    expect(day!.page).toBe(system.themes.get('day')!.roles.get('page-ground')!.color!.css);
    expect([day!.line, night!.line]).toEqual([
      undefined,
      system.themes.get('night')!.roles.get('accent-fill')!.color!.css,
    ]);
    expect(day!.link).toContain('linear-gradient(');
  });
});
