import { shareBrowser } from './in-browser.ts';

// Runs the benches that are named one after the other, all in one browser and on one server; says of each whether it ran.
const end = await shareBrowser();
let failed = 0;
for (const file of process.argv.slice(2)) {
  const start = Date.now();
  try {
    await import(file);
    console.log(`ran in ${((Date.now() - start) / 1000).toFixed(1)} s: ${file}`);
  } catch (error) {
    failed += 1;
    console.error(error);
    console.log(`FAILED in ${((Date.now() - start) / 1000).toFixed(1)} s: ${file}`);
  }
}
await end();
process.exit(failed ? 1 : 0);
