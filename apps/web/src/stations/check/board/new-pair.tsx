import type { Content, Level } from '@mint-lamp/core/contrast/targets';
import { writeRoleName } from '@mint-lamp/core/system/roles/role-name';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../../../addresses.ts';
import { useEditing } from '../../../store/editing.ts';
import { selectProject, useDocumentPart } from '../../../store/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { Button } from '../../../ui/button.tsx';
import { Choice } from '../../../ui/choice.tsx';
import { Popover } from '../../../ui/popover.tsx';
import { CONTENT_OPTIONS, LEVEL_OPTIONS } from './pair-settings.tsx';
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
        <Button type="submit" look="primary" disabled={!ready} className="col-span-2">
          Add the pair
        </Button>
      </form>
    </Popover>
  );
}
