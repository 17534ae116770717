import { describe, expect, test } from 'vitest';
import { SKERRY_LINE } from '../../demo/skerry-line.ts';
import { stopsOf } from '../gradients/gradient.ts';
import type { Command } from './command.ts';
import { describeCommand } from './describe.ts';

const family = SKERRY_LINE.families[0]!;
const role = SKERRY_LINE.roles[0]!;
const pair = SKERRY_LINE.pairs[0]!;
const gradient = SKERRY_LINE.gradients[0]!;
const swatch = SKERRY_LINE.tray[0]!;
const stop = stopsOf(gradient)[0]!;

const TOLD: readonly (readonly [Command, string])[] = [
  [{ type: 'renameProject', name: 'New name' }, 'rename the project to New name'],
  [{ type: 'setGround', role: 'page-raised' }, 'put page.raised beneath the page'],
  [{ type: 'setGround', role: null }, 'put white beneath the page'],
  [{ type: 'addTheme', theme: { id: 'x', name: 'Deck glare' }, links: {} }, 'add the theme Deck glare'],
  [{ type: 'removeTheme', theme: 'night' }, 'remove the theme Night sailing'],
  [{ type: 'renameTheme', theme: 'day', name: 'Noon' }, 'rename Day sailing to Noon'],
  [{ type: 'moveTheme', theme: 'day', index: 1 }, 'move the theme Day sailing'],
  [{ type: 'addFamily', family }, 'add the family Deepwater'],
  [{ type: 'removeFamily', family: 'buoy' }, 'remove the family Buoy'],
  [{ type: 'renameFamily', family: 'buoy', name: 'Float' }, 'rename Buoy to Float'],
  [{ type: 'moveFamily', family: 'buoy', index: 0 }, 'move the family Buoy'],
  [{ type: 'setBase', family: 'buoy', color: '#fff' }, 'change the base of Buoy'],
  [{ type: 'setBase', family: 'gone', color: '#fff' }, 'change the base of something gone'],
  [{ type: 'setGrowth', family: 'buoy', growth: family.growth }, 'change how Buoy grows'],
  [{ type: 'setShade', family: 'buoy', shade: '500', color: '#fff' }, 'set Buoy 500 by hand'],
  [{ type: 'setShade', family: 'buoy', shade: '500', color: null }, 'reset Buoy 500 to growth'],
  [{ type: 'addRole', role }, 'add the role page.ground'],
  [{ type: 'removeRole', role: 'text-main' }, 'remove the role text.main'],
  [{ type: 'renameRole', role: 'text-main', group: ['text'], name: 'body' }, 'rename text.main to text.body'],
  [{ type: 'renameRoleGroup', from: ['text'], to: ['type'] }, 'rename the group text to type'],
  [{ type: 'moveRole', role: 'text-main', index: 0 }, 'move the role text.main'],
  [{ type: 'setLink', role: 'text-main', theme: 'night', link: null }, 'link text.main in Night sailing'],
  [{ type: 'addPair', pair }, 'add the pair text.main on page.ground'],
  [{ type: 'removePair', pair: pair.id }, 'remove a pair'],
  [{ type: 'setPair', pair: pair.id, change: { size: 20 } }, 'change a pair'],
  [{ type: 'addGradient', gradient }, 'add the gradient First light'],
  [{ type: 'removeGradient', gradient: 'wake' }, 'remove the gradient Wake'],
  [{ type: 'renameGradient', gradient: 'wake', name: 'Foam' }, 'rename Wake to Foam'],
  [{ type: 'setGradient', gradient: 'wake', change: { repeating: true } }, 'change Wake'],
  [{ type: 'addStop', gradient: 'wake', stop }, 'add a stop to Wake'],
  [{ type: 'removeStop', gradient: 'wake', stop: 'crest' }, 'remove a stop of Wake'],
  [{ type: 'moveStop', gradient: 'wake', stop: 'crest', places: stop.places }, 'move a stop of Wake'],
  [{ type: 'linkStop', gradient: 'wake', stop: 'crest', link: stop.color }, 'change a stop of Wake'],
  [{ type: 'addSwatch', swatch }, 'add Letterhead to the tray'],
  [{ type: 'removeSwatch', swatch: swatch.id }, 'remove Letterhead from the tray'],
  [{ type: 'renameSwatch', swatch: swatch.id, name: 'Paper' }, 'rename Letterhead to Paper'],
  [{ type: 'moveSwatch', swatch: swatch.id, index: 2 }, 'move Letterhead in the tray'],
  [{ type: 'renameSwatchGroup', from: 'Client', to: 'Harbour' }, 'rename the tray group Client to Harbour'],
  [{ type: 'renameSwatchGroup', from: 'Client', to: '' }, 'dissolve the tray group Client'],
  [{ type: 'renameSwatchGroup', from: '', to: 'Client' }, 'group as Client'],
  [{ type: 'arrangeTray', order: [{ swatch: swatch.id, group: '' }] }, 'arrange the tray'],
  [{ type: 'setSwatch', swatch: swatch.id, color: '#fff' }, 'change Letterhead'],
  [{ type: 'batch', label: 'do several things', commands: [] }, 'do several things'],
];

describe('commands in words', () => {
  test.each(TOLD)('%j', (command, words) => {
    expect(describeCommand(SKERRY_LINE, command)).toBe(words);
  });
});
