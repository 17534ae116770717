import { writeFileSync } from 'node:fs';
import { describeCode, describeColor } from '@mint-lamp/core/color/describe';
import { readColor } from '@mint-lamp/core/color/parse';
import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import { formatRatio } from '@mint-lamp/core/contrast/ratio';
import { type Marker, type Picture, SIDES } from '@mint-lamp/core/document/pictures/picture';
import { followRow } from '@mint-lamp/core/gradient/follow-row';
import { worstOverPixels } from '@mint-lamp/core/picture/over-pixels';
import { rowAlong } from '@mint-lamp/core/picture/row';
import { averageAround, sampledText } from '@mint-lamp/core/picture/sample';
import { partOf } from '@mint-lamp/core/picture/shrink';
import { paint } from '@mint-lamp/core/system/painted';
import { LIBRARY_HOST } from '@mint-lamp/core/wire/pictures';
import type { Locator, Page } from '@playwright/test';
import sharp from 'sharp';
import { decodedIn, drawnFile } from '../support/pictures.ts';
import { axeFaults, expect, expectSaved, onServer, post, send, test } from '../support/test.ts';

type Stack = Parameters<typeof post>[0];

const surface = (page: Page) => page.getByRole('application');
const marker = (page: Page, n: number) => page.getByRole('button', { name: new RegExp(`^Marker ${n}\\b`) });
const aimed = (page: Page) => page.getByTestId('aimed-at');
/** A project of its own, open at its pictures. */
async function openPictures(page: Page, stack: Stack): Promise<string> {
  const { id } = await post(stack, '/projects', { name: 'Pictures' });
  await page.goto(`/p/${id}/gather/pictures`);
  await expect(page.getByRole('heading', { name: 'No pictures yet' })).toBeVisible();
  return id;
}

const addFiles = (page: Page, files: readonly { name: string; buffer: Buffer; mimeType?: string }[]) =>
  page
    .getByLabel('Picture files')
    .setInputFiles(files.map((file) => ({ mimeType: 'application/octet-stream', ...file })));

/** Opens one drawn picture at its desk. */
async function openDrawn(page: Page, stack: Stack, file: Buffer, name = 'drawn.png') {
  const id = await openPictures(page, stack);
  await addFiles(page, [{ name, buffer: file }]);
  await expect(page.getByRole('tab', { name: 'Palettes' })).toBeVisible();
  await expect(page.getByTestId('picture')).toHaveAttribute('data-lit', '');
  await expectSaved(page);
  const picture = (await pictures(stack, id))[0]!;
  return { id, picture, address: `/api/projects/${id}/pictures/${picture.content}` };
}

const pictures = async (stack: Stack, id: string): Promise<Picture[]> =>
  (await onServer(stack, id)).document.pictures;

/** Where a pixel of the picture is seen, at 1 : 1 in the middle of the desk. */
async function onScreen(page: Page, picture: Picture, x: number, y: number) {
  await page.getByRole('button', { name: '1 : 1' }).click();
  await expect(page.getByTestId('zoom')).toHaveText('100 %');
  const box = (await surface(page).boundingBox())!;
  return {
    x: box.x + box.width / 2 + x - picture.width / 2 + 0.5,
    y: box.y + box.height / 2 + y - picture.height / 2 + 0.5,
  };
}

async function dragTo(page: Page, what: Locator, dx: number, dy: number) {
  const box = (await what.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx / 2, y + dy / 2);
  await page.mouse.move(x + dx, y + dy);
  await page.mouse.up();
}

test('markers give exactly the averages of the pixels that the browser decodes, at every size of area', async ({
  page,
  stack,
}) => {
  const file = await drawnFile(240, 160).png().toBuffer();
  const { id, picture, address } = await openDrawn(page, stack, file);
  const places = [
    [0, 0],
    [120, 80],
    [239, 159],
  ];
  const markers = places.flatMap(([x, y]) =>
    SIDES.map((side): Marker => ({ id: `m${side}-${x}`, x: x!, y: y!, side })),
  );
  await send(stack, id, [
    {
      type: 'batch',
      label: 'mark',
      commands: markers.map((one) => ({ type: 'addMarker', picture: picture.id, marker: one })),
    },
  ]);
  await page.getByRole('tab', { name: `Markers ${markers.length}` }).click();
  const pixels = await decodedIn(page, address);
  const expected = markers.map(({ x, y, side }) => sampledText(averageAround(pixels, x, y, side)));
  expect(new Set(expected).size).toBeGreaterThan(15);
  const rows = page.getByRole('tabpanel').getByRole('listitem');
  await expect(rows).toHaveText(
    expected.map((hex, i) => new RegExp(`^${i + 1}${describeColor(readColor(hex))}${hex}`)),
  );
});

test('what a camera held on its side, and of a wide gamut, is shown as browsers show it, of every kind', async ({
  page,
  stack,
}) => {
  const id = await openPictures(page, stack);
  for (const [i, kind] of (['jpeg', 'png', 'webp', 'avif'] as const).entries()) {
    const buffer = await drawnFile(60, 40)
      .withMetadata({ orientation: 6 })
      .withIccProfile('p3')
      .toFormat(kind, { quality: 95 })
      .toBuffer();
    await addFiles(page, [{ name: `deck.${kind}`, buffer }]);
    await expect(page.getByTestId('picture')).toHaveAttribute('data-lit', '');
    await expectSaved(page);
    const picture = (await pictures(stack, id))[i]!;
    const pixels = await decodedIn(page, `/api/projects/${id}/pictures/${picture.content}`);
    const size = [picture.width, picture.height];
    expect(size, kind).toEqual([pixels.width, pixels.height]);
    expect(size, kind).toEqual([40, 60]);
    const at = await onScreen(page, picture, 11, 17);
    await page.mouse.move(at.x, at.y);
    await expect(aimed(page)).toHaveText(sampledText(averageAround(pixels, 11, 17, 5)));
    await page.getByRole('link', { name: 'All pictures' }).click();
  }
});

test('by mouse: aim, take, drag, another area, remove, undo; all of it is there again, for others too', async ({
  page,
  context,
  stack,
}) => {
  const file = await drawnFile(300, 200).png().toBuffer();
  const { id, picture, address } = await openDrawn(page, stack, file);
  const pixels = await decodedIn(page, address);
  const hexAt = (x: number, y: number, side: number) => sampledText(averageAround(pixels, x, y, side));
  const at = await onScreen(page, picture, 70, 60);
  await page.mouse.move(at.x, at.y);
  await expect(aimed(page)).toHaveText(hexAt(70, 60, 5));
  await page.mouse.down();
  await page.mouse.up();
  await expect(marker(page, 1)).toHaveAccessibleName(
    `Marker 1, ${describeCode(hexAt(70, 60, 5))}, at 70, 60, 5 px`,
  );
  // The one taken last is seen beside what is aimed at now.
  await page.mouse.move(at.x + 80, at.y + 40);
  await expect(page.getByTestId('loupe')).toContainText('last');
  await page.getByLabel('Averaged area').selectOption('31 × 31 px');
  await page.mouse.move(at.x + 100, at.y + 50);
  await expect(aimed(page)).toHaveText(hexAt(170, 110, 31));
  await page.mouse.down();
  await page.mouse.up();
  await expect(marker(page, 2)).toHaveAccessibleName(/at 170, 110, 31 px/);

  await dragTo(page, marker(page, 2).locator('span').last(), -40, 20);
  await expect(marker(page, 2)).toHaveAccessibleName(
    `Marker 2, ${describeCode(hexAt(130, 130, 31))}, at 130, 130, 31 px`,
  );
  await page.getByRole('tab', { name: 'Markers 2' }).click();
  await page.getByRole('button', { name: 'Show marker 1' }).click();
  await page.getByLabel('Area of marker 1').selectOption('1 px');
  await expect(marker(page, 1)).toHaveAccessibleName(
    `Marker 1, ${describeCode(hexAt(70, 60, 1))}, at 70, 60, 1 px`,
  );
  await page.getByLabel('Read in').selectOption('rgb');
  await expect(page.getByRole('tabpanel')).toContainText(/1\D+rgb\(\d+ \d+ \d+\)/);
  await page.getByRole('button', { name: 'Remove all' }).click();
  await expect(marker(page, 1)).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(marker(page, 2)).toBeVisible();
  await page.getByRole('button', { name: 'Remove marker 1' }).click();
  await expect(marker(page, 2)).toBeHidden();
  await expectSaved(page);

  // A drag of the picture moves it and takes nothing.
  await page.getByRole('button', { name: 'Larger' }).click();
  await page.getByRole('button', { name: 'Larger' }).click();
  await page.getByRole('button', { name: 'Larger' }).click();
  const zoom = await page.getByTestId('zoom').textContent();
  await expect(page.getByTestId('picture')).toHaveAttribute('data-shown', zoom!);
  const before = await marker(page, 1).boundingBox();
  const box = (await surface(page).boundingBox())!;
  await page.mouse.move(box.x + 60, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + 30, box.y + 40, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => (await marker(page, 1).boundingBox())!.x - before!.x).toBeCloseTo(-30, 0);
  // The wheel comes nearer at the pointer, down to single pixels.
  await page.mouse.move(box.x + 200, box.y + 200);
  for (let i = 0; i < 2; i++) await page.mouse.wheel(0, -1200);
  await expect(page.getByTestId('zoom')).toHaveText('6400 %');
  await page.getByRole('button', { name: 'Fit' }).click();

  const other = await context.newPage();
  await other.goto(`/p/${id}/gather/pictures`);
  await other.getByRole('link', { name: /Drawn/ }).click();
  await expect(marker(other, 1)).toHaveAccessibleName(
    `Marker 1, ${describeCode(hexAt(130, 130, 31))}, at 130, 130, 31 px`,
  );
});

test('by keyboard: in, aim, take, area, zoom, move and remove a marker, a palette, and back', async ({
  page,
  stack,
}) => {
  const file = await drawnFile(120, 90).png().toBuffer();
  const { address } = await openDrawn(page, stack, file);
  const pixels = await decodedIn(page, address);
  const spoken = page.getByTestId('spoken');
  await surface(page).focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('ArrowUp');
  await expect(spoken).toHaveText(new RegExp(`^71, 54: ${sampledText(averageAround(pixels, 71, 54, 5))}, `));
  await page.keyboard.press(']');
  await expect(spoken).toHaveText(/over 11 px/);
  await page.keyboard.press('Enter');
  await expect(marker(page, 1)).toHaveAccessibleName(/at 71, 54, 11 px/);
  await page.keyboard.press('+');
  await page.keyboard.press('0');

  await page.keyboard.press('Tab');
  await expect(marker(page, 1)).toBeFocused();
  await page.keyboard.press('Shift+ArrowLeft');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('[');
  await expect(marker(page, 1)).toHaveAccessibleName(
    `Marker 1, ${describeCode(sampledText(averageAround(pixels, 61, 55, 5)))}, at 61, 55, 5 px`,
  );
  await page.keyboard.press('Delete');
  await expect(marker(page, 1)).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(marker(page, 1)).toBeVisible();

  await page.getByRole('tab', { name: 'Palettes' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('tab', { name: 'Markers 1' })).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  const first = page
    .getByRole('tabpanel')
    .getByRole('button', { name: /, #[\da-f]{6}, [\d.<]/ })
    .first();
  await first.focus();
  await expect(page.getByTestId('picture')).toHaveAttribute('data-lit', 'area 0');
  await page.keyboard.press('Enter');
  const place = page.getByRole('button', { name: /^Place of .*, #/ }).first();
  await place.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(place).toHaveAccessibleName(/, your own$/);
  await page.keyboard.press('Delete');
  await expect(place).not.toHaveAccessibleName(/, your own$/);
  await page.getByRole('link', { name: 'All pictures' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Pictures of the project' })).toContainText('1 marker');
});

test('six palettes side by side: pointing lights a colour’s pixels; any of it goes to tray, families or gradient', async ({
  page,
  stack,
}) => {
  const file = await drawnFile(240, 160).png().toBuffer();
  const { id, picture } = await openDrawn(page, stack, file);
  const panel = page.getByRole('tabpanel');
  await expect(panel.getByRole('heading', { level: 3 })).toHaveText([
    'By area',
    'Strongest colours',
    'Softest colours',
    'In the shadows',
    'In the light',
    'Farthest apart',
  ]);
  const colors = panel.getByRole('button', { name: /, #[\da-f]{6}, [\d.<]/ });
  await expect(colors).toHaveCount(36);
  await page.getByLabel('Colours in each').fill('4');
  await page.keyboard.press('Enter');
  await expect(colors).toHaveCount(24);
  const row = await Promise.all([0, 1, 2, 3].map((i) => colors.nth(i).getAttribute('aria-label')));
  const shares = row.map((label) => Number(/, ([\d.]+) %/.exec(label!)![1]));
  expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(100, 0);
  expect(shares).toEqual([...shares].sort((a, b) => b - a));

  await colors.nth(1).hover();
  await expect(page.getByTestId('picture')).toHaveAttribute('data-lit', 'area 1');
  await expect(
    page.getByText(`${row[1]!.split(', ').slice(0, 2).join('')} ${row[1]!.split(', ')[2]} of the picture`),
  ).toBeVisible();
  // What is lit covers its share; the rest is grey.
  const shown = await page.getByTestId('picture').screenshot();
  await colors.nth(1).click();
  await page.mouse.move(5, 5);
  await expect(page.getByTestId('picture')).toHaveAttribute('data-lit', '');
  expect(await page.getByTestId('picture').screenshot()).not.toEqual(shown);

  // Its place is dragged, which makes it the designer's own; undo and a button give it back.
  const place = page.getByRole('button', { name: /^Place of .*, #/ }).nth(1);
  await dragTo(page, place.locator('span'), 30, 20);
  await expect(place).toHaveAccessibleName(/, your own$/);
  await page.keyboard.press('Control+z');
  await expect(place).not.toHaveAccessibleName(/, your own$/);
  await page.keyboard.press('Control+Shift+z');
  await expect(place).toHaveAccessibleName(/, your own$/);
  await expectSaved(page);
  expect((await pictures(stack, id))[0]!.moved).toMatchObject([
    { leaning: 'area', size: 4, index: 1, side: 5 },
  ]);
  await page.getByRole('button', { name: 'Reset' }).click();
  await expect(place).not.toHaveAccessibleName(/, your own$/);

  await page.getByRole('button', { name: 'Add this one to the tray' }).click();
  await expect(page.getByText('One colour is in the tray below')).toBeVisible();
  await page.getByRole('button', { name: 'to the tray', exact: true }).click();
  await expect(page.getByText('3 colours are in the tray below')).toBeVisible();
  await page.getByRole('button', { name: 'to families', exact: true }).click();
  await page.getByRole('button', { name: 'to a gradient', exact: true }).click();
  await expect(page.getByText(`The gradient ${picture.name} 1 was made`)).toBeVisible();
  await expectSaved(page);
  const { document } = await onServer(stack, id);
  const hexes = row.map((label) => /#[\da-f]{6}/.exec(label!)![0]);
  expect(document.tray.map((one: { color: string }) => one.color).toSorted()).toEqual(hexes.toSorted());
  expect(document.tray[0].group).toBe('Drawn');
  expect(document.families.map((one: { base: string }) => one.base)).toEqual(hexes);
  expect(document.gradients[0].stops).toHaveLength(4);
  // All rows too, without the near-twins that they have in common.
  await page.getByRole('button', { name: 'All rows to families' }).click();
  await expect(page.getByText(/^\d+ families were made$/).last()).toBeVisible();
  await expectSaved(page);
  const made = (await onServer(stack, id)).document.families.length - hexes.length;
  expect(made).toBeGreaterThan(4);
  expect(made).toBeLessThan(24);
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: 'All rows to the tray' }).click();
  await page.getByRole('button', { name: 'All rows to a gradient' }).click();
  const told = page.getByRole('listitem').filter({ hasText: `The gradient ${picture.name} 2 was made` });
  await told.getByRole('button', { name: 'See at Fade' }).click();
  await expect(page.getByRole('heading', { name: 'Fade', level: 1 })).toBeVisible();
});

test('a line across the picture becomes a gradient that follows its colours, by mouse and by keyboard', async ({
  page,
  stack,
}) => {
  const file = await drawnFile(240, 160).png().toBuffer();
  const { id, address } = await openDrawn(page, stack, file);
  await page.getByRole('tab', { name: 'Line', exact: true }).click();
  await page.getByRole('button', { name: 'Draw a line' }).press('Enter');
  const words = page.getByTestId('followed-words');
  await expect(words).toContainText('stops; it differs by');
  const begins = page.getByRole('button', { name: /^Where the line begins/ });
  const ends = page.getByRole('button', { name: /^Where the line ends/ });
  const placeOf = async (handle: Locator) => {
    const [, x, y] = /: (\d+), (\d+)$/.exec((await handle.getAttribute('aria-label'))!)!;
    return { x: Number(x), y: Number(y) };
  };
  const from = await placeOf(begins);
  await dragTo(page, begins, -120, 40);
  await expect.poll(async () => (await placeOf(begins)).x).toBeLessThan(from.x - 20);
  const before = await placeOf(ends);
  await ends.press('Shift+ArrowRight');
  await ends.press('ArrowUp');
  await expect.poll(() => placeOf(ends)).toEqual({ x: before.x + 10, y: before.y - 1 });
  // The coarser it may be, the fewer stops it has; and what is told is what the core makes of the same line.
  const track = page.getByRole('slider', { name: 'Average difference' });
  await track.press('End');
  await expect(words).toContainText(/^\d+ stops/);
  await track.press('Home');
  for (let i = 0; i < 16; i++) await track.press('ArrowRight');
  const [a, b] = [await placeOf(begins), await placeOf(ends)];
  const pixels = await decodedIn(page, address);
  const row = rowAlong(pixels, { x1: a.x, y1: a.y, x2: b.x, y2: b.y }, 5);
  const { stops, mean, most } = followRow(row, 0.02);
  await expect(words).toContainText(`${stops.length} stops; it differs by ${mean.toFixed(3)} on average`);
  await expect(words).toContainText(`where 0.020 is asked, and by ${most.toFixed(3)} at the place where it`);
  expect(mean).toBeLessThanOrEqual(0.02);
  expect(await axeFaults(page)).toEqual([]);
  await page.getByLabel(/linked to shades/).uncheck();
  await page.getByRole('button', { name: 'Make it a gradient' }).press('Enter');
  await expectSaved(page);
  const [gradient] = (await onServer(stack, id)).document.gradients;
  expect(
    gradient.stops.map(({ places: [{ value }], color }: { places: [{ value: number }]; color: object }) => [
      value,
      color,
    ]),
  ).toEqual(
    stops.map(({ place, color: { r, g, b: blue } }) => [
      place,
      { to: 'color', color: hexOfRgb8(r, g, blue) },
    ]),
  );
  await begins.press('Delete');
  await expect(page.getByRole('button', { name: 'Draw a line' })).toBeVisible();
});

test('text in a colour of the picture is measured at its worst place, and becomes a pair', async ({
  page,
  stack,
}) => {
  const file = await drawnFile(240, 160).png().toBuffer();
  const { id, picture, address } = await openDrawn(page, stack, file);
  await surface(page).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('tab', { name: 'Text', exact: true }).click();
  await page
    .getByRole('button', { name: /^Text in #/ })
    .first()
    .click();
  const region = page.getByRole('button', { name: /^Region of the text/ });
  const pixels = await decodedIn(page, address);
  /** What the core says of what the document has now. */
  const expected = async () => {
    await expectSaved(page);
    const { textOver } = (await pictures(stack, id))[0]!;
    const { x, y, width, height, color } = textOver!;
    const white = { r: 255, g: 255, b: 255, alpha: 1 };
    return formatRatio(
      worstOverPixels(paint(color), partOf(pixels, x, y, width, height)!.pixels, white).ratio,
    );
  };
  const ratio = page.getByTestId('worst-ratio');
  await expect(region).toBeVisible();
  await expect(ratio).toHaveText(await expected());
  await dragTo(page, region, 60, -30);
  await expect(region).toHaveAccessibleName(/ at \d+, \d+$/);
  await expect(ratio).toHaveText(await expected());
  await region.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Control+Shift+ArrowUp');
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(ratio).toHaveText(await expected());
  await page.getByRole('tabpanel').getByLabel('Content').selectOption('large text');
  await expect(page.getByText('AA large text needs 3')).toBeVisible();
  const worst = (await ratio.textContent())!;
  await page.getByRole('button', { name: 'Make it a pair' }).click();
  await page.getByRole('button', { name: 'See at Check' }).click();
  await expect(page.getByRole('listitem', { name: 'picture.text on picture.ground' })).toContainText(worst);
  await expectSaved(page);
  const { document } = await onServer(stack, id);
  expect(document.pairs).toMatchObject([{ size: 24, target: { level: 'AA', content: 'large' } }]);
  expect(document.pictures[0].id).toBe(picture.id);
});

test('what is seen first, text or picture, is said with its figures, and turned round by what is offered', async ({
  page,
  stack,
}) => {
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" width="240" height="160"><rect width="240" height="160" fill="#7a7f83"/><circle cx="20" cy="140" r="16" fill="#ff7a00"/><rect x="150" width="90" height="160" fill="#20262a"/></svg>`;
  const file = await sharp(Buffer.from(drawing)).png().toBuffer();
  const { id } = await openDrawn(page, stack, file);
  await surface(page).focus();
  await page.keyboard.press('Enter');
  const picture = (await pictures(stack, id))[0]!;
  await send(stack, id, [
    {
      type: 'setTextOver',
      picture: picture.id,
      text: {
        color: '#a0a4a8',
        x: 20,
        y: 30,
        width: 80,
        height: 24,
        target: { level: 'AA', content: 'body' },
      },
    },
  ]);
  await page.getByRole('tab', { name: 'Text', exact: true }).click();
  const eye = page.getByRole('region', { name: 'Where the eye goes' });
  await expect(eye).toContainText(/The picture is seen first: at its strongest place it is .*colourful/);
  // L* of #7a7f83, under the text.
  await expect(eye.getByRole('row', { name: /^Background 53 0\.01 0\.00/ })).toBeVisible();
  expect(await axeFaults(page)).toEqual([]);
  const ways = eye.getByRole('list', { name: 'What makes the text stand out' });
  await expect(ways.getByRole('listitem')).not.toHaveCount(0);
  await ways.getByRole('button', { name: 'Apply' }).click();
  await expect(eye).toContainText('The text is seen first');
  await expect(page.getByTestId('worst-ratio')).toHaveText(/^[4-9]\.|^1\d\./);
});

test('several at once, dropped and pasted; what cannot be opened is told in one sentence, and the rest is there', async ({
  page,
  stack,
}) => {
  const id = await openPictures(page, stack);
  const good = await drawnFile(40, 30).webp().toBuffer();
  const large = await sharp({ create: { width: 9000, height: 5600, channels: 3, background: '#0b5f6b' } })
    .png({ compressionLevel: 1 })
    .toBuffer();
  await addFiles(page, [
    { name: 'quay-at-noon.webp', buffer: good },
    { name: 'notes.txt', buffer: Buffer.from('Hi!') },
    { name: 'cut.png', buffer: (await drawnFile(40, 31).png().toBuffer()).subarray(0, 900) },
    { name: 'too-large.png', buffer: large },
    {
      name: 'sign.svg',
      buffer: Buffer.from(
        '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="20"><script>alert(1)</script><rect width="40" height="20" fill="#e2552b"/></svg>',
      ),
    },
  ]);
  const told = page.getByRole('list', { name: 'On their way' }).getByRole('alert');
  await expect(told).toHaveText(
    [
      /Notes: This kind of file can’t be opened. These can: PNG, JPEG, WebP, AVIF, GIF or SVG\./,
      /Cut: The file begins as PNG does, but it is broken/,
      /Too large: The picture has 50\.4 megapixels \(9000 × 5600\); 50 are the most/,
    ],
    { timeout: 60_000 },
  );
  const heavy = test.info().outputPath('too-heavy.png');
  writeFileSync(heavy, Buffer.concat([good, Buffer.alloc(40_000_000)]));
  await page.getByLabel('Picture files').setInputFiles(heavy);
  await expect(told.last()).toHaveText(/Too heavy: The file has 40\.0 MB; 40 MB are the most/);
  const cards = page.getByRole('list', { name: 'Pictures of the project' }).getByRole('listitem');
  await expect(cards).toHaveText([/Quay at noon40 × 30 px/, /Sign1024 × 512 px/]);
  await page.getByRole('button', { name: 'Delete Notes' }).click();
  await expect(told).toHaveCount(3);

  const give = (kind: 'paste' | 'drop', bytes: Buffer, name: string) =>
    page.evaluate(
      ([way, base64, file]) => {
        const data = new DataTransfer();
        const content = Uint8Array.from(atob(base64!), (c) => c.charCodeAt(0));
        data.items.add(new File([content], file!));
        const target = document.querySelector('h1')!;
        const options = { bubbles: true, cancelable: true };
        target.dispatchEvent(
          way === 'paste'
            ? new ClipboardEvent('paste', { ...options, clipboardData: data })
            : new DragEvent('drop', { ...options, dataTransfer: data }),
        );
      },
      [kind, bytes.toString('base64'), name],
    );
  await give('drop', await drawnFile(41, 30).png().toBuffer(), 'dropped.png');
  await expect(page.getByLabel('Name of the picture')).toHaveValue('Dropped');
  await page.goBack();
  // From the other source as well.
  await page.getByRole('link', { name: 'Text', exact: true }).click();
  // A name that is typed while the picture is still on its way is not lost when it comes.
  let arrive = () => {};
  const held = new Promise<void>((resolve) => {
    arrive = resolve;
  });
  await page.route(/\/pictures\/[\da-f]{64}$/, (route) => held.then(() => route.continue()));
  await give('paste', await drawnFile(42, 30).jpeg().toBuffer(), 'image.png');
  const name = page.getByLabel('Name of the picture');
  await expect(name).toHaveValue('Image');
  await name.fill('North pier');
  await expect(page.getByText('Opening Image …')).toBeVisible();
  arrive();
  await expect(page.getByTestId('picture')).toBeVisible();
  await expect(name).toHaveValue('North pier');
  await name.press('Enter');
  await expect(name).toHaveAttribute('data-settled', 'true');
  await page.getByRole('link', { name: 'All pictures' }).click();
  await expect(cards).toHaveCount(4);
  await page.getByRole('button', { name: 'Remove North pier' }).click();
  await expect(cards).toHaveCount(3);
  await page.keyboard.press('Control+z');
  await expect(cards).toHaveCount(4);
  await expectSaved(page);
  expect((await pictures(stack, id)).map(({ name }) => name)).toEqual([
    'Quay at noon',
    'Sign',
    'Dropped',
    'North pier',
  ]);
  // The same content again is the picture that is there.
  await addFiles(page, [{ name: 'again.webp', buffer: good }]);
  await expect(page.getByLabel('Name of the picture')).toHaveValue('Quay at noon');
});

test('by address: from the picture library; a private address is refused, and what is gone is told', async ({
  page,
  stack,
}) => {
  const id = await openPictures(page, stack);
  const address = page.getByLabel('By address');
  await address.fill('http://127.0.0.1:1/harbour.png');
  await page.keyboard.press('Enter');
  const told = page.getByRole('list', { name: 'On their way' }).getByRole('alert');
  await expect(told).toHaveText(/Harbour: 127\.0\.0\.1 is an address of this computer/);
  await address.fill(`http://${LIBRARY_HOST}/nothing.png`);
  await page.getByRole('button', { name: 'Fetch' }).click();
  await expect(told.last()).toHaveText(/answers with 404 instead of a picture/);
  await page.getByRole('button', { name: 'Still life' }).click();
  await expect(page.getByLabel('Name of the picture')).toHaveValue('Still life');
  await expect(page.getByRole('tab', { name: 'Palettes' })).toBeVisible();
  await expectSaved(page);
  const [picture] = await pictures(stack, id);
  expect(picture).toMatchObject({ width: 1200, height: 800 });

  // A picture whose file is not there: the rest of the desk's project is.
  await send(stack, id, [
    { type: 'addPicture', picture: { ...picture, id: 'lost', name: 'Lost', content: 'ab'.repeat(32) } },
  ]);
  await page.goto(`/p/${id}/gather/pictures/lost`);
  await expect(page.getByRole('alert')).toContainText('The file of this picture is not on the server.');
  await page.goto(`/p/${id}/gather/pictures/none`);
  await expect(page.getByRole('heading', { name: 'This picture is no longer in the project' })).toBeVisible();
});

test('axe finds nothing at the pictures, in either dress', async ({ page, stack }) => {
  const file = await drawnFile(120, 90).png().toBuffer();
  await openDrawn(page, stack, file);
  const wear = async (dress: 'light' | 'dark') => {
    await page.getByRole('button', { name: `Switch to ${dress} mode` }).click();
    await expect(page.locator('html')).toHaveAttribute('data-theme', `${dress}-dress`);
  };
  /** All of it in the light dress; in the dark one what is painted otherwise. */
  const check = async (what: string) => {
    expect(await axeFaults(page), what).toEqual([]);
    await wear('dark');
    expect(await axeFaults(page, { rules: ['color-contrast'] }), `${what}, dark`).toEqual([]);
    await wear('light');
  };
  await page
    .getByRole('tabpanel')
    .getByRole('button', { name: /, #[\da-f]{6}, [\d.<]/ })
    .first()
    .click();
  await check('palettes');
  await surface(page).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('tab', { name: 'Markers 1' }).click();
  await check('markers');
  await page.getByRole('tab', { name: 'Text', exact: true }).click();
  await page
    .getByRole('button', { name: /^Text in #/ })
    .first()
    .click();
  await expect(page.getByTestId('worst-ratio')).toBeVisible();
  await check('text');
  await page.getByRole('link', { name: 'All pictures' }).click();
  await addFiles(page, [{ name: 'notes.txt', buffer: Buffer.from('Hi!') }]);
  await expect(page.getByRole('alert')).toBeVisible();
  await check('all pictures');
});
