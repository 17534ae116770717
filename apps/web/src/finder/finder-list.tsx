import { Command } from 'cmdk';
import { useMemo, useState } from 'react';
import { ColorChip } from '../ui/color-chip.tsx';
import { bestFindings } from './best-findings.ts';
import { useFindings } from './use-findings.ts';

const GROUP =
  '[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-quiet';

export default function FinderList({ onDone }: { onDone: () => void }) {
  const all = useFindings();
  const [text, setText] = useState('');
  const groups = useMemo(() => bestFindings(all, text), [all, text]);
  return (
    <Command label="Go to or do anything" loop shouldFilter={false}>
      <Command.Input
        autoFocus
        value={text}
        onValueChange={setText}
        placeholder="A name, a shade such as 700, a format, or something to do: export, repair, rename"
        className="mb-2 h-9 w-full rounded-md border border-control bg-ground px-3"
      />
      <Command.List className="max-h-[46vh] overflow-auto">
        <Command.Empty className="p-2 text-quiet">Nothing by that name. Try fewer letters.</Command.Empty>
        {groups.map(({ title, findings, more }) => (
          <Command.Group key={title} heading={title} className={GROUP}>
            {findings.map((finding) => (
              <Command.Item
                key={finding.key}
                value={`${title} ${finding.name} ${finding.key}`}
                onSelect={() => {
                  onDone();
                  finding.act();
                }}
                className="flex cursor-pointer items-center gap-2 rounded-md px-2 py-1 data-[selected=true]:bg-pressed"
              >
                {finding.css && <ColorChip css={finding.css()} className="size-4" />}
                <span className="flex-1 truncate">{finding.name}</span>
                {finding.note && <span className="text-sm text-quiet">{finding.note}</span>}
              </Command.Item>
            ))}
            {more > 0 && (
              <p className="px-2 py-1 text-sm text-quiet">
                {more} more; {text.trim() ? 'type more letters' : 'type a name'} to see them
              </p>
            )}
          </Command.Group>
        ))}
      </Command.List>
    </Command>
  );
}
