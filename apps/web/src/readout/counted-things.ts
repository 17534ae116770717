import type { BrokenLink } from '@mint-lamp/core/system/readout/broken';
import { alikeIn, type Readout, type ShadeAddress } from '@mint-lamp/core/system/readout/readout';
import { roleNameIn } from '@mint-lamp/core/system/roles/role-name';
import { addressOf } from '../addresses.ts';

/** A thing behind a count of the readout, in words and with its address. */
export interface Counted {
  readonly key: string;
  readonly text: string;
  readonly to: string;
}

const STATION_OF = { role: 'assign', stop: 'fade', pair: 'check' } as const;

/** The things behind a count, put into words only when somebody wants to see them. */
export type CountedThings = (readout: Readout, project: string, theme: string) => Counted[];

const nameOf = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
  list.find((item) => item.id === id)?.name ?? '';

export const alikeThings: CountedThings = (readout, project, theme) => {
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

export const outsideThings = shadeThings('outside');
export const handSetThings = shadeThings('handSet');

export const brokenThings: CountedThings = ({ broken, system: { document } }, project) => {
  const name = ({ kind, id }: BrokenLink) =>
    kind === 'role'
      ? roleNameIn(document.roles, id)
      : kind === 'stop'
        ? nameOf(document.gradients, id)
        : 'A pair';
  return broken.map((link) => ({
    key: `${link.kind} ${link.id} ${link.theme}`,
    text: `${name(link)} in ${nameOf(document.themes, link.theme)}: ${link.problem}`,
    to: addressOf(project, STATION_OF[link.kind], link.id),
  }));
};
