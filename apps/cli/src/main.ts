import { Fault, WELL, WRONG } from './fault.ts';

const HELP = `mint-lamp: a colour system on the command line.

  mint-lamp export PROJECT [--form css] [--out FILE] [--everything] [choices]
      Writes PROJECT in a form: css, tokens, tailwind, scss, typescript, json, csv, hex, page, pdf, svg, png, jpeg, check.
      What is chosen at Deliver holds; the choices of the form say otherwise, such as --themes both --code oklch.
      --out - writes to the terminal.
  mint-lamp check PROJECT [--format text|json|junit]
      Measures every pair of text and ground in every theme; ends with 1 where one falls short.
  mint-lamp diff BEFORE AFTER [--format text|json|names]
      What changed in values, ratios and names; ends with 1 where something did.
  mint-lamp watch PROJECT [as for export]
      Writes the form anew whenever the project has changed.

PROJECT is a project file (.mintlamp, or a document as JSON), or the address of a project on a server, such as
http://localhost:5180/p/ID. A checkpoint of it stands behind a #: skerry-line.mintlamp#As handed over.
`;

const COMMANDS = {
  export: () => import('./export.ts'),
  check: () => import('./check.ts'),
  diff: () => import('./diff.ts'),
  watch: () => import('./watch.ts'),
} as const;

async function main([command, ...args]: readonly string[]): Promise<number> {
  if (command === undefined || command === 'help' || command === '--help' || args.includes('--help')) {
    process.stdout.write(HELP);
    return WELL;
  }
  if (!Object.hasOwn(COMMANDS, command))
    throw new Fault(`There is no command "${command}". Known are: ${Object.keys(COMMANDS).join(', ')}.`);
  const { run } = await COMMANDS[command as keyof typeof COMMANDS]();
  return run(args);
}

try {
  process.exitCode = await main(process.argv.slice(2));
} catch (error) {
  console.error(error instanceof Fault ? `mint-lamp: ${error.message}` : error);
  process.exitCode = WRONG;
}
