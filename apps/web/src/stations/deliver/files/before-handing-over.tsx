import type { FormId } from '@mint-lamp/core/document/delivery/forms';
import { beforeHandingOver, type Finding } from '@mint-lamp/core/judged/delivery/before-handing-over';
import { CircleAlert, Check as Tick } from 'lucide-react';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { wentFrom } from '../../../store/interface-slice.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { useFollowingReadout } from '../../../store/use-following-readout.ts';

const many = (count: number, one: string, more: string) => `${count} ${count === 1 ? one : more}`;

/** A finding in words, and where it leads. */
const SAID: Readonly<
  Record<
    Finding['kind'],
    (finding: Finding, project: string) => { readonly text: string; readonly to: string }
  >
> = {
  failing: ({ count }, id) => ({
    text: many(count, 'measurement fails', 'measurements fail'),
    to: addressOf(id, 'check'),
  }),
  broken: ({ count }, id) => ({
    text: many(count, 'broken link', 'broken links'),
    to: addressOf(id, 'assign'),
  }),
  alike: ({ count }, id) => ({
    text: many(count, 'pair of roles is nearly alike', 'pairs of roles are nearly alike'),
    to: addressOf(id, 'assign'),
  }),
  notes: ({ count }, id) => ({ text: many(count, 'open note', 'open notes'), to: addressOf(id, 'assign') }),
  'unnamed-roles': ({ count, first }, id) => ({
    text: many(count, 'role has a vague name', 'roles have vague names'),
    to: addressOf(id, 'assign', ...(first ? [first] : [])),
  }),
  'names-alike': ({ count, first }, id) => ({
    text: many(count, 'name is taken twice and gets a number', 'names are taken twice and get a number'),
    to: addressOf(id, 'grow', ...(first ? [first] : [])),
  }),
  'names-otherwise': ({ count }, id) => ({
    text: many(count, 'name changes in this format', 'names change in this format'),
    to: addressOf(id, 'assign'),
  }),
  'painted-otherwise': ({ count, first }, id) => ({
    text: many(
      count,
      'gradient looks different in some browsers',
      'gradients look different in some browsers',
    ),
    to: addressOf(id, 'fade', ...(first ? [first] : [])),
  }),
  'unused-families': ({ count, first }, id) => ({
    text: many(count, 'family is not used', 'families are not used'),
    to: addressOf(id, 'grow', ...(first ? [first] : [])),
  }),
};

/** What is worth a look before a form leaves the house; each leads to its place, from which one comes back. */
export function BeforeHandingOver({ form, otherwise }: { form: FormId; otherwise: readonly string[] }) {
  const { readout, behind } = useFollowingReadout();
  const id = useProjectId();
  const dispatch = useAppDispatch();
  const findings = useMemo(() => beforeHandingOver(readout, form, otherwise), [readout, form, otherwise]);
  return (
    <section aria-label="Before you hand over" aria-busy={behind}>
      <h2 className="mb-1 font-title font-semibold">Before you hand over</h2>
      {!findings.length && (
        <p className="flex items-center gap-1.5 text-quiet">
          <Tick aria-hidden className="size-4" /> All clear.
        </p>
      )}
      <ul className="flex flex-col gap-0.5">
        {findings.map((finding) => {
          const { text, to } = SAID[finding.kind](finding, id);
          return (
            <li key={finding.kind}>
              <Link
                to={to}
                onClick={() => dispatch(wentFrom('deliver'))}
                className="-mx-1.5 flex gap-1.5 rounded-md px-1.5 py-0.5 hover:bg-pressed"
              >
                <CircleAlert
                  aria-hidden
                  className={`mt-0.5 size-4 shrink-0 ${finding.kind === 'failing' || finding.kind === 'broken' ? 'text-fail' : 'text-look'}`}
                />
                <span className="min-w-0">
                  {text}
                  {finding.names.length > 0 && (
                    <span className="block truncate text-sm text-quiet">
                      {finding.names.join(', ')}
                      {finding.count > finding.names.length && ' …'}
                    </span>
                  )}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
