import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { parseAst } from 'vite';
import { ROOT } from './setup/run.mjs';

// Every phrase that people read: what the interface says, and what the core and the server answer it.
const FOLDERS = ['apps/web/src', 'packages/core/src', 'apps/server/src'];
/**
 * What speaks to developers or machines, or is a made-up project's own; names of colours and of sets that ship, which are
 * lists of their own; and names by which roles are found.
 */
const ELSEWHERE =
  /\.(test|bench|fixture)\.tsx?$|\/(demo|migrations|logging|metrics|command-line)\/|names\/plain-names|\/shelf\/|exchange\/(check-script|changes\/rename-script)|scenes\/use-names|web\/src\/parts\//;

/** Attributes and properties that are never read aloud. */
const SILENT = new Set(
  'className class style id key type role to href src from rel target method htmlFor name data-next form accept inputMode autoComplete side align look tone kind mode pattern d fill stroke viewBox transform background backgroundColor color width height gridTemplateRows gridTemplateColumns lane path address url shape order event strokeWidth strokeDasharray strokeLinejoin strokeLinecap cursor transformOrigin boxShadow font'.split(
    ' ',
  ),
);
/** Functions whose texts are not for people. */
const SILENT_CALLS =
  /^(clsx|require|import|querySelector(All)?|closest|matches|addEventListener|removeEventListener|getContext|setAttribute|getAttribute|removeAttribute|setProperty|removeProperty|RegExp|Symbol|createElement|getItem|setItem|read|write|remove|match|test|split|join|replace|replaceAll|includes|startsWith|endsWith|indexOf|has|get|set|words|all|pattern|error|valid|invalid|query|exec|createIndex|where|andWhere|register|header|type|now|station|part)$/;

const LETTER = /\p{L}/u;
const CLASS_TOKEN = /^[!@\w[\]()#%.,:/&>*'"=+~|^$<{}-]*$/;
const CLASS_SIGN =
  /[-:[\]/]|^(flex|grid|block|hidden|relative|absolute|fixed|sticky|truncate|italic|underline|contents|inline|static|border|rounded|checker|group|peer|scene)$/;

/** Whether a text is a list of classes, an address, a code: something that is not spoken. */
function isCode(text) {
  // Functions and declarations of CSS, dates by their pattern, signs that are keys of a keyboard.
  if (
    /^[a-z-]+\([^)]*[\d{%][^)]*\)/.test(text) ||
    /^\*?[\w-]+: [^.]*;/.test(text) ||
    /^(EEEE, )?d MMMM? ?(yyyy)?(, HH:mm)?$/.test(text)
  )
    return true;
  if (/^(ArrowUp|Enter|Escape|Tab|Home|End|Shift|Control|Alt|Meta|Delete)$/.test(text)) return true;
  if (/^[MmLlHhVvZz][{\d]/.test(text) && !/[a-z]{3}/.test(text.replaceAll('{…}', ''))) return true;
  const tokens = text.trim().split(/\s+/);
  if (tokens.length === 1) {
    const [one] = tokens;
    // A word alone is a phrase where it is written as one.
    return (
      !/^\p{Lu}[\p{L}’'-]+(…|:|\?)?$|^[\p{Lu}\p{Ll}]+ ?…$/u.test(one) || /^[A-Z_]+$|[a-z][A-Z]/.test(one)
    );
  }
  if (
    /^(https?:|\/|\.|--|@|#|\{|<|SELECT|INSERT|UPDATE|DELETE|CREATE|WITH|var\(|url\(|M\d)/.test(text.trim())
  )
    return true;
  if (/^[\d\s.,%px()a-z-]*$/.test(text) && /\d(px|fr|rem|ms|deg)|minmax|linear-gradient|rgb\(/.test(text))
    return true;
  const signs = tokens.filter((one) => CLASS_SIGN.test(one)).length;
  return (
    tokens.every((one) => CLASS_TOKEN.test(one)) && signs * 2 >= tokens.length && !/[.!?…]$/.test(text.trim())
  );
}

const nameOf = (node) => node?.name?.name ?? node?.name ?? node?.value ?? '';

/** Where a text stands that is not for people; `ups` are the nodes around it, the nearest last. */
function isSilent(node, ups) {
  let at = node;
  for (let i = ups.length - 1; i >= 0; i--) {
    const up = ups[i];
    switch (up.type) {
      case 'ImportDeclaration':
      case 'ExportAllDeclaration':
      case 'ExportNamedDeclaration':
      case 'ImportExpression':
        return up.source === at || up.type === 'ImportDeclaration';
      case 'TSLiteralType':
      case 'TSEnumMember':
        return true;
      case 'JSXAttribute':
        return (
          SILENT.has(nameOf(up)) ||
          /^data-|^aria-(labelledby|describedby|controls|haspopup|live|current|orientation)/.test(nameOf(up))
        );
      case 'Property':
        if (up.key === at && !up.computed) return true;
        if (SILENT.has(nameOf(up.key)) && !/^(name|kind)$/.test(nameOf(up.key))) return true;
        break;
      case 'MemberExpression':
        if (up.computed && up.property === at) return true;
        break;
      case 'BinaryExpression':
        if (/^(===|!==|==|!=|in)$/.test(up.operator)) return true;
        break;
      case 'SwitchCase':
        if (up.test === at) return true;
        break;
      case 'CallExpression':
      case 'NewExpression': {
        const callee = up.callee.type === 'MemberExpression' ? nameOf(up.callee.property) : nameOf(up.callee);
        if (at !== up.callee) return SILENT_CALLS.test(callee);
        break;
      }
      case 'ArrowFunctionExpression':
      case 'FunctionExpression':
      case 'FunctionDeclaration':
      case 'Program':
        return false;
    }
    at = up;
  }
  return false;
}

/** Attributes and properties that are read aloud whatever stands there. */
const SPOKEN =
  /^(label|title|what|why|does|aria-label|placeholder|words|says|hint|lead|heading|told|reason|send)$/;

/** Whether what stands there is spoken for certain, so that a word alone in small letters is a phrase too. */
function isSpoken(node, ups) {
  let at = node;
  for (let i = ups.length - 1; i >= 0; i--) {
    const up = ups[i];
    switch (up.type) {
      case 'ConditionalExpression':
        if (up.test === at) return false;
        break;
      case 'LogicalExpression':
        if (up.left === at && up.operator === '&&') return false;
        break;
      case 'TSAsExpression':
        break;
      case 'TemplateLiteral': {
        // A part of a phrase is one.
        const around = textOf(up).replace(/\s+/g, ' ').trim();
        if (LETTER.test(around.replaceAll('{…}', '')))
          return !isSilent(up, ups.slice(0, i)) && !isCode(around);
        break;
      }
      case 'JSXExpressionContainer':
        if (ups[i - 1]?.type !== 'JSXAttribute') return true;
        break;
      case 'JSXAttribute':
        return SPOKEN.test(nameOf(up));
      case 'Property':
        return up.value === at && SPOKEN.test(nameOf(up.key));
      default:
        return false;
    }
    at = up;
  }
  return false;
}

/** A word in small letters, with or without its colon: no code, no address, no class. */
const SMALL_WORD = /^[\p{Ll}’]+[:,;]?$/u;

/** The text of a literal or a template, with {…} for what is put in; null for other nodes. */
function textOf(node) {
  if (node.type === 'Literal') return typeof node.value === 'string' ? node.value : null;
  if (node.type === 'TemplateLiteral') return node.quasis.map(({ value }) => value.cooked ?? '').join('{…}');
  return node.type === 'JSXText' ? node.value : null;
}

function phrasesIn(file, text) {
  const program = parseAst(text, { lang: file.endsWith('x') ? 'tsx' : 'ts' }, file);
  const found = [];
  const visit = (node, ups) => {
    const said = textOf(node)?.replace(/\s+/g, ' ').trim();
    if (said && LETTER.test(said.replaceAll('{…}', '')))
      if (
        node.type === 'JSXText' ||
        (!isSilent(node, ups) && (!isCode(said) || (SMALL_WORD.test(said) && isSpoken(node, ups))))
      )
        found.push(said);
    const around = [...ups, node];
    for (const key of Object.keys(node)) {
      const inner = node[key];
      if (Array.isArray(inner)) for (const one of inner) one?.type && visit(one, around);
      else if (inner?.type) visit(inner, around);
    }
  };
  visit(program, []);
  return found;
}

function* sources(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* sources(path);
    else if (/\.tsx?$/.test(entry.name)) yield path;
  }
}

/** All phrases by the file that they are in, each once in a file. */
export function allPhrases() {
  const files = new Map();
  for (const folder of FOLDERS)
    for (const path of [...sources(join(ROOT, folder))].sort()) {
      const file = relative(ROOT, path);
      if (ELSEWHERE.test(file)) continue;
      const phrases = [...new Set(phrasesIn(file, readFileSync(path, 'utf8')))];
      if (phrases.length) files.set(file, phrases);
    }
  return files;
}
