import clsx from 'clsx';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { addressOf, STATIONS } from '../addresses.ts';
import { useProjectId } from '../store/selectors.ts';
import { Button } from '../ui/button.tsx';
import { Popover } from '../ui/popover.tsx';

/** The path of stations as a menu, where there is no room for it. */
export default function StationMenu() {
  const id = useProjectId();
  const current = useLocation().pathname.split('/')[3];
  const [open, setOpen] = useState(false);
  const here = STATIONS.find((station) => station.id === current);
  return (
    <Popover
      label="Stations"
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button look="quiet" className="px-2! font-semibold">
          {here?.name ?? 'Stations'}
          <ChevronDown aria-hidden className="size-4" />
        </Button>
      }
    >
      <nav aria-label="Stations">
        <ol>
          {STATIONS.map((station) => (
            <li key={station.id}>
              <Link
                to={addressOf(id, station.id)}
                aria-current={station.id === current ? 'page' : undefined}
                onClick={() => setOpen(false)}
                className={clsx(
                  'flex min-h-9 items-baseline gap-3 rounded-md px-2 py-1.5 hover:bg-pressed',
                  station.id === current && 'bg-pressed font-semibold',
                )}
              >
                <span className="w-16">{station.name}</span>
                <span className="text-sm font-normal text-quiet">{station.purpose}</span>
              </Link>
            </li>
          ))}
        </ol>
      </nav>
    </Popover>
  );
}
