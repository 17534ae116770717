import { canonical } from '@mint-lamp/core/color/write';
import { paint } from '@mint-lamp/core/system/painted';
import type { Light } from '../lit-color.ts';

export const lightSwatch: Light<'swatch'> = ({ document }, _theme, selection) => {
  const swatch = document.tray.find((item) => item.id === selection.swatch);
  if (!swatch) return null;
  return {
    key: `swatch ${swatch.id}`,
    title: swatch.name,
    kind: 'in the tray',
    painted: paint(swatch.color),
    problem: null,
    change: (c) => ({ type: 'setSwatch', swatch: swatch.id, color: canonical(c) }),
    translucent: true,
    link: null,
    relink: null,
  };
};
