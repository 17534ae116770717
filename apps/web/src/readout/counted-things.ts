import { notedName } from '@mint-lamp/core/document/naming/note-name';
import { roleNameIn } from '@mint-lamp/core/document/naming/role-name';
import type { BrokenLink } from '@mint-lamp/core/judged/readout/broken';
import { alikeIn, type Readout, type ShadeAddress } from '@mint-lamp/core/judged/readout/readout';
import { addressOf } from '../addresses.ts';
import { addressOfNoted } from '../notes/noted-address.ts';

/** A thing behind a count of the readout, in words and with its address. */
interface Counted {
  readonly key: string;
  readonly text: string;
  readonly to: string;
}

const noteThings: CountedThings = ({ notes, system: { document } }, project) =>
  notes.map(({ id, on, text, by }) => ({
    key: id,
    text: `${notedName(document, on) ?? 'Something that was removed'}: ${text.replace(/\s+/g, ' ').slice(0, 120)}${by ? ` (${by})` : ''}`,
    to: addressOfNoted(project, on),
  }));

const STATION_OF = { role: 'assign', stop: 'fade', pair: 'check', family: 'grow' } as const;

/** The things behind a count, put into words only when somebody wants to see them. */
type CountedThings = (readout: Readout, project: string, theme: string) => Counted[];

const nameOf = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
  list.find((item) => item.id === id)?.name ?? '';

const alikeThings: CountedThings = (readout, project, theme) => {
  const { roles } = readout.system.document;
  return alikeIn(readout, theme).map(({ a, b, difference }) => ({
    key: `${a} ${b}`,
    text: `${roleNameIn(roles, a)} and ${roleNameIn(roles, b)}: ΔE OK ${difference.toFixed(3)}, hard to tell apart`,
    to: addressOf(project, 'assign', a),
  }));
};

const shadeThings =
  (which: 'outside' | 'handSet'): CountedThings =>
  (readout, project) =>
    readout[which].map(({ family, shade }: ShadeAddress) => ({
      key: `${family} ${shade}`,
      text: `${nameOf(readout.system.document.families, family)} ${shade}`,
      to: addressOf(project, 'grow', family, shade),
    }));

const brokenThings: CountedThings = ({ broken, system: { document } }, project) => {
  const name = ({ kind, id }: BrokenLink) =>
    kind === 'role'
      ? roleNameIn(document.roles, id)
      : kind === 'stop'
        ? nameOf(document.gradients, id)
        : kind === 'family'
          ? nameOf(document.families, id)
          : 'A pair';
  return broken.map((link) => ({
    key: `${link.kind} ${link.id} ${link.theme}`,
    text: `${name(link)}${link.kind === 'family' ? '' : ` in ${nameOf(document.themes, link.theme)}`}: ${link.problem}`,
    to: addressOf(project, STATION_OF[link.kind], link.id),
  }));
};

/** What each count of the readout counts. */
export const COUNTED = {
  alike: alikeThings,
  outside: shadeThings('outside'),
  handSet: shadeThings('handSet'),
  broken: brokenThings,
  note: noteThings,
} satisfies Record<string, CountedThings>;

export type CountedKind = keyof typeof COUNTED;
