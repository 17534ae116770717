import { gradientCss } from '@mint-lamp/core/exchange/css';
import { useNavigate } from 'react-router';
import { addressOf, STATIONS } from '../addresses.ts';
import { keyLabel } from '../frame/shortcuts.ts';
import { useThemeSwitch } from '../frame/use-theme-switch.ts';
import { currentDress, rememberSurround, wear } from '../look/dress.ts';
import { step } from '../store/editing.ts';
import { dialogOpened, selected, surroundSwitched } from '../store/interface-slice.ts';
import { selectProject, useSystem, useTheme } from '../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';

export interface Finding {
  readonly key: string;
  readonly name: string;
  readonly note?: string;
  /** A colour or gradient to show beside the name; null is a broken link. */
  readonly css?: string | null;
  readonly act: () => void;
}

export interface FindingGroup {
  readonly title: string;
  readonly findings: readonly Finding[];
}

/** Everything that the finder can go to or do in the open project. */
export function useFindings(): FindingGroup[] {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const switchTheme = useThemeSwitch();
  const id = useAppSelector((state) => selectProject(state).id);
  const surround = useAppSelector((state) => state.interface.surround);
  const system = useSystem();
  const theme = useTheme();
  const { document } = system;
  const go =
    (...to: Parameters<typeof addressOf> extends [string, ...infer Rest] ? Rest : never) =>
    () =>
      navigate(addressOf(id, ...to));
  const path = (role: string) => document.roles.find((r) => r.id === role)?.path ?? 'a role that is gone';
  const other = currentDress() === 'light' ? 'dark' : 'light';
  return [
    {
      title: 'Stations',
      findings: STATIONS.map((station, i) => ({
        key: station.id,
        name: `${station.name}: ${station.purpose}`,
        note: String(i + 1),
        act: go(station.id),
      })),
    },
    {
      title: 'Do',
      findings: [
        { key: 'undo', name: 'Undo', note: keyLabel('Mod+Z'), act: () => dispatch(step('undo')) },
        { key: 'redo', name: 'Redo', note: keyLabel('Shift+Mod+Z'), act: () => dispatch(step('redo')) },
        { key: 'dress', name: `Put on the ${other} dress`, act: () => wear(other) },
        {
          key: 'surround',
          name: surround ? 'Switch off the mid-grey surround' : 'Lay the station on mid-grey',
          note: 'G',
          act: () => {
            dispatch(surroundSwitched(!surround));
            rememberSurround(!surround);
          },
        },
        {
          key: 'shortcuts',
          name: 'Show the shortcuts',
          note: '?',
          act: () => dispatch(dialogOpened('shortcuts')),
        },
        { key: 'projects', name: 'All projects', act: () => navigate('/') },
      ],
    },
    {
      title: 'Themes',
      findings: document.themes.map((item) => ({
        key: item.id,
        name: `Switch to ${item.name}`,
        act: () => switchTheme(item.id),
      })),
    },
    {
      title: 'Families',
      findings: [...system.families.values()].map(({ family, shades }) => ({
        key: family.id,
        name: family.name,
        css: shades.find((shade) => shade.isBase)?.css ?? null,
        act: go('grow', family.id),
      })),
    },
    {
      title: 'Roles',
      findings: document.roles.map((role) => ({
        key: role.id,
        name: role.path,
        css: theme.roles.get(role.id)?.color?.css ?? null,
        act: go('assign', role.id),
      })),
    },
    {
      title: 'Gradients',
      findings: [...theme.gradients.values()].map((resolved) => ({
        key: resolved.gradient.id,
        name: resolved.gradient.name,
        css: gradientCss(resolved),
        act: go('fade', resolved.gradient.id),
      })),
    },
    {
      title: 'Pairs',
      findings: document.pairs.map((pair) => ({
        key: pair.id,
        name: `${path(pair.foreground)} on ${path(pair.background)}`,
        act: go('check', pair.id),
      })),
    },
    {
      title: 'Tray',
      findings: document.tray.map((swatch) => ({
        key: swatch.id,
        name: swatch.name,
        css: swatch.color,
        act: () => dispatch(selected({ kind: 'swatch', swatch: swatch.id })),
      })),
    },
  ].filter((group) => group.findings.length > 0);
}
