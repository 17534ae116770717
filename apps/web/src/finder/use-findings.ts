import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { addressOf, checkpointsAddress, notesAddress, SOURCES, STATIONS } from '../addresses.ts';
import { HELP } from '../help/help-list.ts';
import { copyingFindings } from '../kinds/copying-findings.ts';
import { familyFindings } from '../kinds/families/family-findings.ts';
import { shadeFindings } from '../kinds/families/shade-findings.ts';
import type { FindingGroup } from '../kinds/finding.ts';
import { gradientFindings } from '../kinds/gradients/gradient-findings.ts';
import { litColor } from '../kinds/lit.ts';
import { pairFindings } from '../kinds/pairs/pair-findings.ts';
import { pictureFindings } from '../kinds/pictures/picture-findings.ts';
import { linkFindings } from '../kinds/roles/link-findings.ts';
import { roleFindings } from '../kinds/roles/role-findings.ts';
import { themeFindings } from '../kinds/themes/theme-findings.ts';
import { useThemeSwitch } from '../kinds/themes/use-theme-switch.ts';
import { swatchFindings } from '../kinds/tray/swatch-findings.ts';
import { currentAppearance, rememberSurround, setAppearance } from '../look/appearance.ts';
import { keyLabel } from '../shortcuts.ts';
import { edit, step } from '../store/editing.ts';
import { dialogOpened, selected, surroundSwitched } from '../store/interface-slice.ts';
import { useProjectId, useSystem, useTheme } from '../store/selectors.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { checkFindings, handOverFindings } from './doing-findings.ts';

/** Everything that the finder can go to or do in the open project, kind by kind. */
export function useFindings(): readonly FindingGroup[] {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const switchTheme = useThemeSwitch();
  const id = useProjectId();
  const surround = useAppSelector((state) => state.interface.surround);
  const system = useSystem();
  const theme = useTheme();
  const selection = useAppSelector((state) => state.interface.selection);
  const lit = selection?.kind === 'role' ? selection.role : null;
  return useMemo(() => {
    const go =
      (...to: Parameters<typeof addressOf> extends [string, ...infer Rest] ? Rest : never) =>
      () =>
        navigate(addressOf(id, ...to));
    const tools = { system, theme, go };
    const litThing = litColor(system, theme, selection);
    const other = currentAppearance() === 'light' ? 'dark' : 'light';
    const stations: FindingGroup = {
      title: 'Stations',
      findings: STATIONS.map((station, i) => ({
        key: station.id,
        name: `${station.name}: ${station.purpose}`,
        note: String(i + 1),
        act: go(station.id),
      })),
    };
    const sources: FindingGroup = {
      title: 'Gather from',
      findings: SOURCES.map(({ id: source, name, purpose }) => ({
        key: source,
        name: `${name}: ${purpose}`,
        act: go('gather', source),
      })),
    };
    const doings: FindingGroup = {
      title: 'Do',
      findings: [
        { key: 'undo', name: 'Undo', note: keyLabel('Mod+Z'), act: () => dispatch(step('undo')) },
        { key: 'redo', name: 'Redo', note: keyLabel('Shift+Mod+Z'), act: () => dispatch(step('redo')) },
        {
          key: 'rename',
          name: litThing ? 'Rename the selected thing, or the project' : 'Rename the project',
          also: 'name call',
          act: () => dispatch(dialogOpened('rename')),
        },
        {
          key: 'share',
          name: 'Share with a client or a developer',
          also: 'address link proposal live style sheet',
          act: go('deliver', 'shares'),
        },
        {
          key: 'notes',
          name: 'All notes',
          also: 'comments remarks answers mentions',
          act: () => navigate(notesAddress(id)),
        },
        {
          key: 'checkpoints',
          name: 'Checkpoints: save, compare, restore',
          act: () => navigate(checkpointsAddress(id)),
        },
        {
          key: 'dress',
          name: `Switch to ${other} mode`,
          also: 'dress appearance',
          act: () => setAppearance(other),
        },
        {
          key: 'surround',
          name: surround ? 'Switch off the mid-grey surround' : 'Switch on the mid-grey surround',
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
        {
          key: 'walk',
          name: 'Walk through the stations in six stops',
          also: 'tour introduction help demo',
          act: () => navigate(`/p/${encodeURIComponent(id)}?walk`),
        },
        { key: 'projects', name: 'All projects', act: () => navigate('/') },
      ],
    };
    return [
      stations,
      sources,
      doings,
      {
        title: 'Help',
        whenTyped: true,
        findings: HELP.map(({ id: asked, title, what, also }) => ({
          key: `help ${asked}`,
          name: `What is: ${title}`,
          note: what,
          also: `help ${also ?? ''}`,
          act: () => dispatch(dialogOpened(`help:${asked}`)),
        })),
      },
      themeFindings(tools, switchTheme),
      familyFindings(tools),
      roleFindings(tools),
      gradientFindings(tools),
      pairFindings(tools),
      ...(lit
        ? [
            linkFindings(tools, lit, (link) =>
              dispatch(edit({ type: 'setLink', role: lit, theme: theme.theme.id, link })),
            ),
          ]
        : []),
      pictureFindings(tools),
      shadeFindings(tools),
      handOverFindings(id, navigate),
      checkFindings(id, navigate),
      ...(litThing ? [copyingFindings(litThing)] : []),
      swatchFindings(tools, (swatch) => dispatch(selected({ kind: 'swatch', swatch }))),
    ].filter((group) => group.findings.length > 0);
  }, [dispatch, navigate, switchTheme, id, surround, system, theme, selection, lit]);
}
