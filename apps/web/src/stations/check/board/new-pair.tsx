import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import type { Content, Level } from '@mint-lamp/core/contrast/targets';
import { writeRoleName } from '@mint-lamp/core/document/naming/role-name';
import type { Pair } from '@mint-lamp/core/document/pairs/pair';
import { measurePair } from '@mint-lamp/core/judged/pairs/measure';
import { sampleOf } from '@mint-lamp/core/judged/pairs/sample';
import { seenShort } from '@mint-lamp/core/judged/readers/seen-pair';
import clsx from 'clsx';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { percentOfPeople, WITH } from '../../../links/twins-warning.tsx';
import { useEditing } from '../../../store/editing.ts';
import { selectProject, useDocumentPart, useLayers, useSystem, useTheme } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { Popover } from '../../../ui/popover.tsx';
import { CONTENT_OPTIONS, LEVEL_OPTIONS } from './pair-settings.tsx';
import { Sample } from './sample.tsx';
import { usualPair } from './usual-pair.ts';

/** Makes a pair of two roles. */
export function NewPair() {
  const roles = useDocumentPart('roles');
  const id = useAppSelector((state) => selectProject(state).id);
  const navigate = useNavigate();
  const { edit } = useEditing();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [ground, setGround] = useState('');
  const [content, setContent] = useState<Content>('body');
  const [level, setLevel] = useState<Level>('AA');
  const options = roles.map((role) => ({ value: role.id, label: writeRoleName(role) }));
  const choice = [{ value: '', label: 'choose …' }, ...options];
  const ready = text && ground && text !== ground;
  const add = () => {
    const pair = usualPair(text, ground, content, level);
    if (!edit({ type: 'addPair', pair })) return;
    setOpen(false);
    navigate(addressOf(id, 'check', pair.id));
  };
  return (
    <Popover
      label="New pair"
      align="end"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button look="primary" disabled={roles.length < 2}>
          New pair …
        </Button>
      }
    >
      <form
        className="grid w-80 grid-cols-2 gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (ready) add();
        }}
      >
        <Choice label="Text or graphic" value={text} options={choice} onChange={setText} />
        <Choice label="on ground" value={ground} options={choice} onChange={setGround} />
        <Choice label="Content" value={content} options={CONTENT_OPTIONS} onChange={setContent} />
        <Choice label="Level" value={level} options={LEVEL_OPTIONS} onChange={setLevel} />
        {ready && <Beforehand pair={usualPair(text, ground, content, level)} />}
        <Button type="submit" look="primary" disabled={!ready} className="col-span-2">
          Add the pair
        </Button>
      </form>
    </Popover>
  );
}

/** What a pair comes to in the present theme before it is made, and for whom it would fall short. */
function Beforehand({ pair }: { pair: Pair }) {
  const system = useSystem();
  const theme = useTheme();
  const severity = useAppSelector((state) => state.interface.severity);
  const { text, ground, ratio, required, passes } = measurePair(system, theme, pair, useLayers());
  if (!text || !ground)
    return <p className="col-span-2 text-sm text-look">One of them has no colour in {theme.theme.name}.</p>;
  const short = seenShort(text, ground, required, severity);
  return (
    <div role="status" className="col-span-2">
      <div className="overflow-hidden rounded-md border border-hair">
        <Sample pair={pair} words={sampleOf(system.document, pair)} use="other" text={text} ground={ground} />
      </div>
      <p className={clsx('mt-1 text-sm', passes ? 'text-quiet' : 'text-fail')}>
        <b className="font-mono">{formatRatio(ratio)}</b> {passes ? 'passes' : 'needs'} {required} in{' '}
        {theme.theme.name}
      </p>
      {short.map(({ deficiency, ratio: seen, people }) => (
        <p key={deficiency} className="text-sm text-look">
          Seen with {WITH[deficiency]} ({percentOfPeople(people)} of people) it is {formatRatio(seen)} only.
        </p>
      ))}
    </div>
  );
}
