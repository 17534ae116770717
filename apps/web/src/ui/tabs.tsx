import { Tabs as RadixTabs } from 'radix-ui';
import type { ReactNode } from 'react';

interface TabsProps<T extends string> {
  /** What they are of, for screen readers. */
  label: string;
  value: T;
  tabs: readonly { readonly value: T; readonly label: ReactNode; readonly content: ReactNode }[];
  onChange: (value: T) => void;
}

/** Several panels in one place, one of them shown. */
export function Tabs<T extends string>({ label, value, tabs, onChange }: TabsProps<T>) {
  return (
    <RadixTabs.Root
      value={value}
      onValueChange={(next) => onChange(next as T)}
      className="flex min-h-0 flex-1 flex-col"
    >
      <RadixTabs.List aria-label={label} className="flex gap-1 border-b border-hair px-2.5">
        {tabs.map((tab) => (
          <RadixTabs.Trigger
            key={tab.value}
            value={tab.value}
            className="-mb-px border-b-2 border-transparent px-1.5 py-1.5 whitespace-nowrap text-quiet data-[state=active]:border-main data-[state=active]:text-main"
          >
            {tab.label}
          </RadixTabs.Trigger>
        ))}
      </RadixTabs.List>
      {tabs.map((tab) => (
        <RadixTabs.Content key={tab.value} value={tab.value} className="min-h-0 flex-1 overflow-auto p-3">
          {tab.content}
        </RadixTabs.Content>
      ))}
    </RadixTabs.Root>
  );
}
