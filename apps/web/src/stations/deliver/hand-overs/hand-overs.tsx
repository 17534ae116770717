import { fileFormat } from '@mint-lamp/core/exchange/file-formats';
import type { HandOver } from '@mint-lamp/core/wire/hand-overs';
import clsx from 'clsx';
import { format } from 'date-fns';
import { Trash2 } from 'lucide-react';
import { Link, useNavigate, useParams } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { reasonOf } from '../../../fetching/api.ts';
import { useHandOversQuery, useRemoveHandOverMutation } from '../../../fetching/hand-overs-api.ts';
import { useNames } from '../../../fetching/use-names.ts';
import { useProjectId } from '../../../store/selectors.ts';
import { IconButton } from '../../../ui/icon-button.tsx';
import { EmptyState, Failure } from '../../../ui/notice.tsx';
import { DeliverHeader } from '../deliver-header.tsx';
import { HAND_OVERS, isForm } from '../forms.ts';
import { WhatChanged } from './what-changed.tsx';

/** What was handed over, when and of which revision; and what changed since one of them. */
export default function HandOvers() {
  const id = useProjectId();
  const { handOver: asked } = useParams();
  const { currentData: list, error, refetch } = useHandOversQuery(id);
  const lit = list?.find((one) => one.id === asked) ?? list?.[0];
  return (
    <div className="flex h-[calc(100dvh-146px)] min-h-96 flex-col">
      <DeliverHeader
        view="hand-overs"
        lead="Every download is kept here, with what has changed since, ready to send on."
      />
      {error && !list && (
        <div className="px-5 pt-3">
          <Failure fault={reasonOf(error)} onAgain={() => void refetch()} />
        </div>
      )}
      {!list && !error && <p className="px-5 pt-3 text-quiet">Fetching the hand-overs …</p>}
      {list?.length === 0 && (
        <EmptyState title="Nothing handed over yet">
          Download a file or a zip. It shows up here with its date and revision, and with what has changed
          since.
        </EmptyState>
      )}
      {list && lit && (
        <div className="grid min-h-0 flex-1 grid-cols-[252px_minmax(0,1fr)] narrow:grid-cols-1 max-[900px]:grid-cols-1 max-[900px]:overflow-auto">
          <List list={list} lit={lit} />
          <WhatChanged key={lit.id} handOver={lit} />
        </div>
      )}
    </div>
  );
}

const formsOf = ({ forms }: HandOver) =>
  forms.map((form) => (isForm(form) ? fileFormat(form).name : 'Project')).join(', ');

function List({ list, lit }: { list: readonly HandOver[]; lit: HandOver }) {
  const project = useProjectId();
  const navigate = useNavigate();
  const [remove] = useRemoveHandOverMutation();
  const names = useNames(project);
  return (
    <ol aria-label="Hand-overs" className="min-h-0 overflow-auto border-r border-hair py-2">
      {list.map((one) => (
        <li
          key={one.id}
          className={clsx('group flex items-start gap-1 px-3 py-1.5', one === lit && 'bg-pressed')}
        >
          <Link
            to={addressOf(project, 'deliver', HAND_OVERS, one.id)}
            replace
            aria-current={one === lit ? 'page' : undefined}
            className="min-w-0 flex-1"
          >
            <span className={clsx('block', one === lit && 'font-semibold')}>
              {format(new Date(one.at), 'd MMM yyyy, HH:mm')}
            </span>
            <span className="block truncate text-sm">{one.file}</span>
            <span className="block truncate text-sm text-quiet">
              {formsOf(one)} · revision {one.revision}
              {names(one.author) && ` · ${names(one.author)}`}
            </span>
          </Link>
          <IconButton
            label={`Remove the hand-over of ${format(new Date(one.at), 'd MMM yyyy, HH:mm')} from the list`}
            onClick={() => {
              void remove({ project, handOver: one.id });
              if (one === lit) navigate(addressOf(project, 'deliver', HAND_OVERS), { replace: true });
            }}
          >
            <Trash2 aria-hidden className="size-4" />
          </IconButton>
        </li>
      ))}
    </ol>
  );
}
