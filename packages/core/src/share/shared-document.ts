import { USUAL_DELIVERY } from '../document/delivery/delivery.ts';
import { emptyDocument, type ProjectDocument } from '../document/document.ts';
import { type Noted, notedName } from '../document/naming/note-name.ts';
import { type NameOf, withSignedNotes } from '../document/notes/signed-notes.ts';
import type { CastLink } from '../document/scenes/scene-uses.ts';
import { chosenSystem } from '../system/delivery/chosen-system.ts';
import { resolveSystem } from '../system/resolve.ts';
import { type CastUses, castOf } from '../system/scenes/cast.ts';
import type { ShareSubject } from '../wire/shares.ts';

/** The kinds of shares that show a part of the project as a document. */
type DocumentSubject = Extract<
  ShareSubject,
  { readonly kind: 'project' | 'scene' | 'report' | 'gradient' | 'family' }
>;

const idsBut = (list: readonly { readonly id: string }[], stays: (id: string) => boolean): string[] =>
  list.map(({ id }) => id).filter((id) => !stays(id));

const none = () => false;

/** The roles that paint something in scenes. */
const castRoles = (uses: CastUses): ReadonlySet<string> =>
  new Set([...uses.values()].flatMap(({ link }) => (link?.to === 'role' ? [link.role] : [])));

/** What of families, roles and gradients a share is for. */
function staying(document: ProjectDocument, subject: DocumentSubject, tries: boolean, uses: CastUses) {
  switch (subject.kind) {
    case 'project':
      return { family: () => true, role: () => true, gradient: () => true };
    case 'gradient':
      return { family: none, role: none, gradient: (id: string) => id === subject.gradient };
    case 'family':
      return { family: (id: string) => id === subject.family, role: none, gradient: none };
    case 'report': {
      const roles = new Set(
        document.pairs.flatMap(({ foreground, background, veil }) => [foreground, background, veil ?? '']),
      );
      const gradients = new Set(
        document.pairs.flatMap(({ backdrop }) => (backdrop?.kind === 'gradient' ? [backdrop.gradient] : [])),
      );
      return {
        family: none,
        role: (id: string) => roles.has(id) || id === document.ground,
        gradient: (id: string) => gradients.has(id),
      };
    }
    case 'scene': {
      const roles = castRoles(uses);
      const hero = uses.get('hero')?.link;
      return {
        // Whoever tries another link has the families to choose from.
        family: () => tries,
        role: (id: string) => roles.has(id) || id === document.ground,
        gradient: (id: string) => hero?.to === 'gradient' && hero.gradient === id,
      };
    }
  }
}

/** What paints scenes, said outright: found again among fewer roles it could be something else. */
const outright = (uses: CastUses): Record<string, CastLink> =>
  Object.fromEntries([...uses].map(([use, { link }]) => [use, link ?? { to: 'nothing' }]));

/**
 * The part of a project that a share is for, as a document of its own, with every colour what it was: what is left out at
 * Deliver stays out, and so do tray, rounds, artworks, notes among the team, and pictures but for those that are shown.
 * Null where what was shared is gone. `tries` keeps the families of a scene, to choose links from.
 */
export function sharedDocument(
  document: ProjectDocument,
  subject: DocumentSubject,
  tries: boolean,
  nameOf: NameOf,
): ProjectDocument | null {
  if (subject.kind === 'gradient' && !document.gradients.some(({ id }) => id === subject.gradient))
    return null;
  if (subject.kind === 'family' && !document.families.some(({ id }) => id === subject.family)) return null;
  const { delivery } = document;
  const uses = castOf(document);
  const stays = staying(document, subject, tries, uses);
  // What was shared by itself goes, whatever is left out of the whole.
  const left = (kind: 'family' | 'role' | 'gradient') =>
    subject.kind === 'project' || subject.kind === 'scene' || subject.kind === 'report'
      ? delivery.leftOut[kind]
      : [];
  const { system } = chosenSystem(resolveSystem(document), {
    theme: delivery.leftOut.theme,
    family: [...left('family'), ...idsBut(document.families, stays.family)],
    role: [...left('role'), ...idsBut(document.roles, stays.role)],
    gradient: [...left('gradient'), ...idsBut(document.gradients, stays.gradient)],
  });
  const chosen = system.document;
  const isPainted = subject.kind === 'project' || subject.kind === 'scene';
  const roleIds = new Set(chosen.roles.map(({ id }) => id));
  const gradientIds = new Set(chosen.gradients.map(({ id }) => id));
  const isThere = (link: CastLink) =>
    (link.to !== 'role' || roleIds.has(link.role)) &&
    (link.to !== 'gradient' || gradientIds.has(link.gradient));
  const cast = Object.fromEntries(
    Object.entries(subject.kind === 'scene' ? outright(uses) : document.scenes.cast).filter(([, link]) =>
      isThere(link),
    ),
  );
  const pairs = isPainted || subject.kind === 'report' ? chosen.pairs : [];
  const pictureIds = new Set([
    ...pairs.flatMap(({ backdrop }) => (backdrop?.kind === 'picture' ? [backdrop.picture] : [])),
    ...(isPainted
      ? Object.values(cast).flatMap((link) => (link.to === 'picture' ? [link.picture] : []))
      : []),
  ]);
  const shown: ProjectDocument = {
    ...emptyDocument(document.name, chosen.themes),
    words: document.words,
    families: chosen.families,
    roles: chosen.roles.map(({ origin: _, ...role }) => role),
    gradients: chosen.gradients,
    pairs,
    ground: chosen.ground,
    pictures: document.pictures
      .filter(({ id }) => pictureIds.has(id))
      .map((picture) => ({ ...picture, markers: [], moved: [], textOver: null })),
    scenes: isPainted ? { cast, words: document.scenes.words } : { cast: {}, words: {} },
    delivery: USUAL_DELIVERY,
  };
  return { ...shown, notes: sharedNotes(shown, subject, document.notes, nameOf) };
}

/** Those of a project's notes that are for the client, on what a share shows, signed by name. */
export function sharedNotes(
  shown: ProjectDocument,
  subject: ShareSubject,
  all: ProjectDocument['notes'],
  nameOf: NameOf,
): ProjectDocument['notes'] {
  const notes = all.filter(({ forClient, on }) => forClient && isSharedNoted(shown, subject, on));
  return withSignedNotes({ notes }, nameOf).notes;
}

/** Whether a note on something is of a share: what it is on is shown there, or is the very thing that was shared. */
export function isSharedNoted(shown: ProjectDocument, subject: ShareSubject, on: Noted): boolean {
  switch (on.kind) {
    case 'project':
      return subject.kind === 'project';
    case 'scene':
      return (
        notedName(shown, on) !== null &&
        (subject.kind === 'project' || (subject.kind === 'scene' && subject.scene === on.scene))
      );
    case 'theme':
      return notedName(shown, on) !== null && (subject.kind === 'project' || subject.kind === 'scene');
    default:
      return notedName(shown, on) !== null;
  }
}
