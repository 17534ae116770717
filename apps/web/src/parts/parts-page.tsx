import { Plus, Trash2 } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { Button } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { ColorChip } from '../ui/color-chip.tsx';
import { colorTyping, takeTyped } from '../ui/color-text.ts';
import { Confirm } from '../ui/confirm.tsx';
import { CopyButton } from '../ui/copy-button.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { HelpMark } from '../ui/help-mark.tsx';
import { HintProvider } from '../ui/hint.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { EmptyState, Failure } from '../ui/notice.tsx';
import { NumberField } from '../ui/number-field.tsx';
import { PageHeader } from '../ui/page-header.tsx';
import { Popover } from '../ui/popover.tsx';
import { SearchField } from '../ui/search-field.tsx';
import { SwitchGroup } from '../ui/switch-group.tsx';
import { Tabs } from '../ui/tabs.tsx';
import { TextField } from '../ui/text-field.tsx';
import { Track } from '../ui/track.tsx';

const LOOKS = ['primary', 'plain', 'quiet', 'danger'] as const;
const SIZES = [
  ['28 px, title', 'font-title text-2xl font-semibold'],
  ['21 px, a station', 'font-title text-xl font-semibold'],
  ['17 px, a section', 'font-title text-lg font-semibold'],
  ['14 px, the interface', 'text-base'],
  ['13 px, what is secondary', 'text-sm text-quiet'],
  ['13 px, codes', 'font-mono text-sm'],
  ['11 px, what has no room', 'text-xs'],
] as const;
const GROUNDS = ['ground', 'raised', 'sunken', 'pressed'] as const;
const nothing = () => {};

/** Every part of the interface in all its states, in both dresses beside each other. Only on the developing server. */
export default function PartsPage() {
  return (
    <HintProvider>
      <main className="min-h-full bg-ground p-6">
        <h1 className="font-title text-2xl font-semibold">Parts</h1>
        <p className="mb-4 max-w-[70ch] text-quiet">
          One grammar for every station: its head with what it is for and its one primary action at the right,
          views as tabs below, filters in one row, then the work. What is compared is large; what is secondary
          is quiet; only the project’s colours are loud.
        </p>
        <div className="grid grid-cols-2 gap-6 narrow:grid-cols-1">
          <All dress="light" />
          <All dress="dark" />
        </div>
      </main>
    </HintProvider>
  );
}

function All({ dress }: { dress: 'light' | 'dark' }) {
  return (
    <section
      data-theme={`${dress}-dress`}
      aria-label={`${dress} dress`}
      className="flex flex-col gap-6 rounded-md border border-hair bg-ground p-5 text-main"
      style={{ colorScheme: dress }}
    >
      <Heads />
      <Actions />
      <Fields />
      <Panels />
      <Messages />
    </section>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section aria-label={title}>
      <h2 className="mb-2 border-b border-hair pb-1 font-title text-lg font-semibold">{title}</h2>
      <div className="flex flex-col gap-3">{children}</div>
    </section>
  );
}

const Row = ({ children }: { children: ReactNode }) => (
  <div className="flex flex-wrap items-center gap-2">{children}</div>
);

function Heads() {
  return (
    <Part title="Heads, type and grounds">
      <div className="-mx-5">
        <PageHeader title="A station" lead="What it is for, in one sentence." help="grow">
          <Button>Secondary …</Button>
          <Button look="primary">The one next step</Button>
        </PageHeader>
      </div>
      {SIZES.map(([says, className]) => (
        <p key={says} className={className}>
          {says}
        </p>
      ))}
      <Row>
        {GROUNDS.map((ground) => (
          <span
            key={ground}
            className="grid h-12 w-24 place-content-center rounded-md border border-hair text-sm"
            style={{ background: `var(--surface-${ground})` }}
          >
            {ground}
          </span>
        ))}
      </Row>
    </Part>
  );
}

function Actions() {
  const [copied] = useState('#0b5f6b');
  return (
    <Part title="Actions">
      {LOOKS.map((look) => (
        <Row key={look}>
          <Button look={look}>{look}</Button>
          <Button look={look} disabled>
            disabled
          </Button>
          <Button look={look} small>
            small
          </Button>
          <Button look={look}>
            <Plus aria-hidden className="size-4" /> with a sign
          </Button>
        </Row>
      ))}
      <Row>
        <IconButton label="Remove">
          <Trash2 aria-hidden className="size-4" />
        </IconButton>
        <IconButton label="Remove, small" small>
          <Trash2 aria-hidden className="size-4" />
        </IconButton>
        <CopyButton text={copied} />
        <HelpMark of="grow" about="Grow" />
        <a href="/" className="underline underline-offset-2">
          All projects
        </a>
        <ColorChip css="#0b5f6b" className="size-6" />
        <ColorChip css="rgb(11 95 107 / 0.4)" className="size-6" />
        <ColorChip css={null} className="size-6" />
      </Row>
    </Part>
  );
}

function Fields() {
  const [on, setOn] = useState('one');
  const [text, setText] = useState('');
  const [many, setMany] = useState(40);
  return (
    <Part title="Fields">
      <Row>
        <TextField label="Text" value="Deepwater" onCommit={() => null} />
        <TextField
          label="Any CSS colour; try #0b5f6"
          value="#0b5f6b"
          mono
          {...colorTyping}
          onCommit={(typed) => takeTyped(typed, () => null)}
        />
        <TextField label="Refuses" value="" onCommit={() => 'There is a role of that name already.'} />
      </Row>
      <Row>
        <NumberField label="Figure" value={4.5} min={1} max={21} decimals={2} onCommit={nothing} />
        <Choice
          label="In a head"
          beside
          value={on}
          options={[
            { value: 'one', label: 'One' },
            { value: 'two', label: 'Two' },
          ]}
          onChange={setOn}
        />
        <Choice
          label="Choice"
          help="large"
          value={on}
          options={[
            { value: 'one', label: 'One' },
            { value: 'two', label: 'Two' },
          ]}
          onChange={setOn}
        />
        <SearchField label="Search" value={text} onChange={setText} />
      </Row>
      <Row>
        <SwitchGroup
          label="Switch"
          value={on}
          options={[
            { value: 'one', label: 'Day sailing' },
            { value: 'two', label: 'Night sailing' },
          ]}
          onChange={setOn}
        />
        <label className="flex items-center gap-1.5">
          <input type="checkbox" defaultChecked /> ticked
        </label>
        <label className="flex items-center gap-1.5">
          <input type="checkbox" disabled /> cannot be ticked
        </label>
      </Row>
      <Track
        label="Track"
        value={many}
        min={0}
        max={100}
        step={1}
        background="linear-gradient(90deg, #002f39, #6fb6c0)"
        valueText={`${many} %`}
        onPreview={setMany}
        onCommit={setMany}
      />
    </Part>
  );
}

function Panels() {
  const [tab, setTab] = useState('pairs');
  const [open, setOpen] = useState(false);
  return (
    <Part title="Panels">
      <div className="h-24">
        <Tabs
          label="Views"
          value={tab}
          onChange={setTab}
          tabs={[
            { value: 'pairs', label: 'Pairs', content: 'What the view shows.' },
            { value: 'matrix', label: 'Matrix', content: 'Another view.' },
          ]}
        />
      </div>
      <Row>
        <Popover label="A panel" trigger={<Button>Panel …</Button>}>
          <p className="w-56">What is chosen here is seen beside it before it is taken.</p>
        </Popover>
        <Button onClick={() => setOpen(true)}>Dialog …</Button>
        <Confirm
          label="Remove it"
          trigger={<Button>Asks first …</Button>}
          yes="Remove it"
          no="Keep it"
          onYes={nothing}
        >
          Remove Deepwater? Undo brings it back.
        </Confirm>
        <Dialog open={open} onOpenChange={setOpen} title="A dialog">
          What it is for, and one primary action.
        </Dialog>
      </Row>
      <div className="rounded-md border border-control bg-raised px-3 py-2">
        <Row>
          <p className="min-w-0 flex-1">
            <b>A proposal</b> stands on the sheet: <span className="text-pass">32 of 32 pairs pass</span>.
          </p>
          <Button small look="primary">
            Apply
          </Button>
          <Button small>Discard</Button>
        </Row>
      </div>
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b border-control text-left">
            <th>Role</th>
            <th>Link</th>
            <th className="text-right">Ratio</th>
          </tr>
        </thead>
        <tbody>
          {[
            ['text.main', 'Deepwater 950', '16.80'],
            ['text.quiet', 'Shingle 600', '5.04'],
          ].map(([role, link, ratio]) => (
            <tr key={role} className="border-b border-hair">
              <td className="py-1">{role}</td>
              <td>{link}</td>
              <td className="text-right font-mono">{ratio}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Part>
  );
}

function Messages() {
  return (
    <Part title="Messages">
      <p>
        <span className="text-pass">passes 4.5</span> · <b className="text-fail">3.33 needs 4.5</b> ·{' '}
        <span className="text-look">2 colours too alike</span> ·{' '}
        <span className="text-quiet">0 broken links</span>
      </p>
      <Failure
        fault="The picture could not be fetched: its address answers with nothing."
        onAgain={nothing}
      />
      <EmptyState title="Nothing here yet">
        What goes here, and the next step.
        <p className="mt-3">
          <Button>Do it</Button>
        </p>
      </EmptyState>
    </Part>
  );
}
