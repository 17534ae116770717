import clsx from 'clsx';
import { ListRestart, Moon, Redo2, Search, Sun, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { addressOf, STATIONS } from '../addresses.ts';
import { useThemeSwitch } from '../kinds/themes/use-theme-switch.ts';
import { currentAppearance, setAppearance } from '../look/appearance.ts';
import { personOfPage } from '../person/person.ts';
import { keyLabel } from '../shortcuts.ts';
import { step } from '../store/editing.ts';
import { dialogOpened } from '../store/interface-slice.ts';
import { selectDocument, selectProject, selectTheme } from '../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { Button } from '../ui/button.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { Mark } from '../ui/mark.tsx';
import { part } from '../ui/part.tsx';
import { Popover } from '../ui/popover.tsx';
import { SwitchGroup } from '../ui/switch-group.tsx';
import { useNarrow } from '../ui/use-narrow.ts';
import { SaveStateText, SetAsideEdits } from './save-state.tsx';

export function TopBar() {
  const name = useAppSelector((state) => selectDocument(state).name);
  if (useNarrow()) return <NarrowTopBar name={name} />;
  return (
    <header className="isolate col-span-2 flex min-w-0 items-center gap-3 border-b border-hair bg-raised px-3">
      <Link to="/" aria-label="All projects" data-help="projects" className="shrink-0 rounded-md p-0.5">
        <Mark className="size-7" />
      </Link>
      <span className="min-w-12 truncate font-title text-lg font-semibold" title={name}>
        {name}
      </span>
      {personOfPage() !== null && <ProjectPeople />}
      <StationPath />
      <div className="ml-auto flex shrink-0 items-center gap-1">
        <SetAsideEdits />
        <SaveStateText />
        <ThemeSwitch />
        <History />
        <Tools />
      </div>
    </header>
  );
}

/** The same where there is room for the next step alone: what is used less is behind one press. */
function NarrowTopBar({ name }: { name: string }) {
  const [open, setOpen] = useState(false);
  return (
    <header className="isolate flex min-w-0 flex-wrap items-center gap-x-1 border-b border-hair bg-raised px-2 py-1.5">
      <Link to="/" aria-label="All projects" data-help="projects" className="shrink-0 rounded-md p-0.5">
        <Mark className="size-7" />
      </Link>
      <StationMenu />
      <div className="ml-auto flex min-w-0 items-center gap-1">
        <ThemeSwitch asList />
        <UndoRedo />
        <Button look="quiet" aria-expanded={open} onClick={() => setOpen(!open)} className="px-2!">
          {open ? 'Less' : 'More'}
        </Button>
      </div>
      <div className={clsx('w-full flex-wrap items-center gap-1 pt-1', open ? 'flex' : 'hidden')}>
        <b className="min-w-0 flex-1 truncate px-1">{name}</b>
        {personOfPage() !== null && <ProjectPeople />}
        <SetAsideEdits />
        <SaveStateText />
        <Steps />
        <Tools />
      </div>
    </header>
  );
}

/** The seven stations as one path, the present one lit. */
function StationPath() {
  const id = useAppSelector((state) => selectProject(state).id);
  const current = useLocation().pathname.split('/')[3];
  return (
    <nav aria-label="Stations" data-help="path" className="shrink-0">
      <ol className="flex items-stretch">
        {STATIONS.map((station, i) => {
          const here = station.id === current;
          return (
            <li key={station.id}>
              <Link
                to={addressOf(id, station.id)}
                aria-current={here ? 'page' : undefined}
                title={`${station.name}: ${station.purpose} (${i + 1})`}
                className={clsx(
                  'group relative flex h-12 flex-col items-center justify-end gap-1.5 px-2.5 pb-1.5 -outline-offset-2 max-[1150px]:px-1.5',
                  here ? 'font-semibold text-main' : 'text-quiet hover:text-main',
                )}
              >
                <span aria-hidden className="absolute inset-x-0 top-[13px] h-px bg-control" />
                <span
                  aria-hidden
                  className={clsx(
                    'absolute rounded-full border',
                    here
                      ? 'top-[7px] size-3.5 border-main bg-mint'
                      : 'top-[9px] size-2.5 border-control bg-raised',
                  )}
                />
                <span className="leading-none">{station.name}</span>
              </Link>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}

function ThemeSwitch({ asList = false }: { asList?: boolean }) {
  const theme = useAppSelector((state) => selectTheme(state).theme);
  const themes = useAppSelector((state) => selectDocument(state).themes);
  const switchTheme = useThemeSwitch();
  if (asList || themes.length > 3)
    return (
      <select
        aria-label="Theme"
        data-help="themes"
        value={theme.id}
        onChange={(event) => switchTheme(event.target.value)}
        className="h-8 max-w-36 min-w-0 rounded-md max-[374px]:w-20 border border-control bg-raised px-1"
      >
        {themes.map((item) => (
          <option key={item.id} value={item.id}>
            {item.name}
          </option>
        ))}
      </select>
    );
  return (
    <SwitchGroup
      help="themes"
      label="Theme"
      value={theme.id}
      options={themes.map(({ id, name }) => ({ value: id, label: name }))}
      onChange={switchTheme}
    />
  );
}

const ProjectPeople = part(() => import('../people/project-people.tsx'));
const StationMenu = part(() => import('./station-menu.tsx'));
const AtHand = part(() => import('./at-hand.tsx'));
const StepsList = part(() => import('./steps-list.tsx'));

/** Undo and redo, and all steps to go back to. */
function History() {
  return (
    <div className="flex">
      <UndoRedo />
      <Steps />
    </div>
  );
}

function UndoRedo() {
  const dispatch = useAppDispatch();
  const undo = useAppSelector((state) => selectProject(state).undo.at(-1));
  const redo = useAppSelector((state) => selectProject(state).redo.at(-1));
  return (
    <div data-help="steps" className="flex">
      <IconButton
        label="Undo"
        hint={undo ? `Undo: ${undo.label} (${keyLabel('Mod+Z')})` : 'Nothing to undo'}
        aria-disabled={!undo}
        className={undo ? '' : 'text-quiet opacity-60'}
        onClick={() => dispatch(step('undo'))}
      >
        <Undo2 aria-hidden className="size-4" />
      </IconButton>
      <IconButton
        label="Redo"
        hint={redo ? `Redo: ${redo.label} (${keyLabel('Shift+Mod+Z')})` : 'Nothing to redo'}
        aria-disabled={!redo}
        className={redo ? '' : 'text-quiet opacity-60'}
        onClick={() => dispatch(step('redo'))}
      >
        <Redo2 aria-hidden className="size-4" />
      </IconButton>
    </div>
  );
}

const Steps = () => (
  <Popover
    label="Steps"
    align="end"
    trigger={
      <Button
        look="quiet"
        aria-label="Steps"
        data-help="steps"
        title="What you did since you opened the project"
        className="size-8 px-0!"
      >
        <ListRestart aria-hidden className="size-4" />
      </Button>
    }
  >
    <StepsList />
  </Popover>
);

function Tools() {
  const dispatch = useAppDispatch();
  const [dress, setDress] = useState(currentAppearance);
  const other = dress === 'light' ? 'dark' : 'light';
  return (
    <div className="flex">
      <AtHand />
      <IconButton
        label="Finder"
        data-help="finder"
        hint={`Go to or do anything (${keyLabel('Mod+K')})`}
        onClick={() => dispatch(dialogOpened('finder'))}
      >
        <Search aria-hidden className="size-4" />
      </IconButton>
      <IconButton
        label={`Switch to ${other} mode`}
        data-help="dress"
        onClick={() => {
          setAppearance(other);
          setDress(other);
        }}
      >
        {dress === 'light' ? <Moon aria-hidden className="size-4" /> : <Sun aria-hidden className="size-4" />}
      </IconButton>
    </div>
  );
}
