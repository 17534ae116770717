import type { SheetFile } from '@mint-lamp/core/sheet/sheet-files';
import { fetchArtwork } from '../../../fetching/fetch-artwork.ts';

const nameIn = (address: string) => {
  const { hostname, pathname } = new URL(address);
  return `${hostname}${pathname === '/' ? '' : pathname}`;
};

/** What a page's address comes to: its sheets, and the styles that stand in it; and those that could not be had. */
export async function fetchedSheets(
  project: string | null,
  address: string,
): Promise<{ readonly files: SheetFile[]; readonly missing: readonly string[] }> {
  const { text, sheets, addresses } = await fetchArtwork(project, address);
  const files = sheets.flatMap((sheet, i) =>
    sheet ? [{ name: cssNamed(nameIn(addresses[i]!)), text: sheet }] : [],
  );
  // A sheet's own address; or the styles that stand in a page.
  const isPage = /<[a-z!]/i.test(text);
  const name = nameIn(address);
  const page = isPage
    ? /<style\b/i.test(text)
      ? [{ name: /\.html?$/i.test(name) ? name : `${name}.html`, text }]
      : []
    : [{ name: cssNamed(name), text }];
  return {
    files: [...files, ...page],
    missing: addresses.filter((_, i) => !sheets[i]),
  };
}

const cssNamed = (name: string) => (/\.css$/i.test(name) ? name : `${name}.css`);
