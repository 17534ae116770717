import { writeFileSync } from 'node:fs';
import { MINT_LAMP_INTERFACE } from '@mint-lamp/core/demo/interface';
import { writeCss } from '@mint-lamp/core/exchange/css';
import { resolveSystem } from '@mint-lamp/core/system/resolve';

// npm run look: writes the application's own colours, as the product exports them, where the app reads them.
writeFileSync(
  new URL('../apps/web/src/look/tokens.css', import.meta.url),
  writeCss(resolveSystem(MINT_LAMP_INTERFACE)),
);
