import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { ROOT } from './places.mjs';

/** Attributes whose strings only machines read: styles, ids, addresses, kinds. What any other says may be read. */
const MACHINE_ATTRIBUTES =
  /^(class|className|\w+ClassName|style|type|id|htmlFor|for|to|href|src|rel|role|accept|autoComplete|inputMode|pattern|d|points|transform|viewBox|fill|stroke\w*|xmlns|dataKey|data-[\w-]+|aria-(live|haspopup|controls|labelledby|describedby|orientation|current|activedescendant|owns))$/;
/** Properties whose strings are words of the program. */
const MACHINE_PROPERTIES = /^(kind|id|key|keys|state)$/;
/** Calls whose strings are for machines. */
const MACHINE_CALLS =
  /^(query|createQueryBuilder|where|andWhere|orWhere|orderBy|addOrderBy|select|addSelect|leftJoin|innerJoin|join|split|matchMedia|querySelector|querySelectorAll|closest|getItem|setItem|removeItem|addEventListener|removeEventListener|setAttribute|import|require|Symbol|working|measured|published|replaceAll|replace|startsWith|endsWith|includes|get|set|has|createElementNS)$/;

/** @typedef {{ file: string, line: number, start: number, end: number, text: string, kind: 'markup' | 'string' }} ReadableText */

const collected = new Map();

/**
 * Every text in the sources that a person may read: text between tags, attributes that are shown or spoken, and strings with words in them.
 * What is put in while it runs is written as {…}.
 * @param {string} folder under the root @returns {ReadableText[]} in the order of files and lines
 */
export function readableTexts(folder) {
  const known = collected.get(folder) ?? textsBelow(folder);
  collected.set(folder, known);
  return known;
}

function textsBelow(folder) {
  const home = join(ROOT, folder);
  const files = readdirSync(home, { recursive: true })
    .map(String)
    .filter((file) => /\.(tsx?|mjs)$/.test(file) && !/\.(test|fixture|d)\.|(^|\/)(dist|node_modules|migrations)\//.test(file))
    .sort();
  return files.flatMap((file) => textsOf(join(home, file)));
}

function textsOf(path) {
  const code = readFileSync(path, 'utf8');
  const kind = path.endsWith('x') ? ts.ScriptKind.TSX : path.endsWith('mjs') ? ts.ScriptKind.JS : ts.ScriptKind.TS;
  const source = ts.createSourceFile(path, code, ts.ScriptTarget.Latest, true, kind);
  const found = [];
  const add = (node, text, how) => {
    const start = node.getStart(source);
    const { line } = source.getLineAndCharacterOfPosition(start);
    found.push({
      file: relative(ROOT, path),
      line: line + 1,
      start,
      end: node.getEnd(),
      text: text.replace(/\s+/g, ' ').trim(),
      kind: how,
    });
  };
  const visit = (node) => {
    if (isForMachines(node)) return;
    if (ts.isJsxElement(node) && node.children.some((child) => ts.isJsxText(child) && /\p{L}/u.test(child.text))) {
      add(node, markupText(node), 'markup');
      // Its own texts are said as one; what is inside of its tags and expressions may say more.
      node.openingElement.attributes.properties.forEach(visit);
      node.children.filter((child) => !ts.isJsxText(child)).forEach(visit);
      return;
    }
    if (isString(node)) {
      const text = stringText(node);
      if (isWords(text, node)) add(node, text, 'string');
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

const isString = (node) => ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node) || ts.isTemplateExpression(node);

/** Code that only a machine reads: imports, types, names of styles, keys, comparisons, queries. */
function isForMachines(node) {
  if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node) || ts.isInterfaceDeclaration(node)) return true;
  if (ts.isJsxAttribute(node)) return isUnreadAttribute(node);
  if (ts.isPropertyAssignment(node)) return MACHINE_PROPERTIES.test(node.name.getText()) && isString(node.initializer);
  if (ts.isCallExpression(node)) return isMachineCall(node);
  return ts.isRegularExpressionLiteral(node) || (isString(node) && isKeyOrComparison(node));
}

/** What `must` says is read only where the program is wrong. */
function isMachineCall({ expression, arguments: given }) {
  const name = expression.getText().split('.').pop() ?? '';
  return name === 'must' || (MACHINE_CALLS.test(name) && given.every(isString));
}

const isUnreadAttribute = ({ name, initializer }) =>
  MACHINE_ATTRIBUTES.test(name.getText()) && initializer !== undefined && (isString(initializer) || ts.isJsxExpression(initializer));

function isKeyOrComparison(node) {
  const { parent } = node;
  if (ts.isPropertyAssignment(parent) && parent.name === node) return true;
  if (ts.isElementAccessExpression(parent) || ts.isLiteralTypeNode(parent)) return true;
  return ts.isBinaryExpression(parent) && /^[!=]==?$/.test(parent.operatorToken.getText());
}

/** A string as it is read. */
function stringText(node) {
  if (!ts.isTemplateExpression(node)) return node.text;
  return node.head.text + node.templateSpans.map(({ literal }) => `{…}${literal.text}`).join('');
}

/** The content between tags, with what is inside of them as far as it is text. */
function markupText(element) {
  return element.children
    .map((child) => {
      if (ts.isJsxText(child)) return child.text;
      if (ts.isJsxElement(child)) return markupText(child);
      if (ts.isJsxExpression(child)) return child.expression && isString(child.expression) ? stringText(child.expression) : '{…}';
      return '';
    })
    .join('');
}

/** Whether a string has words for people: two words, or one that begins as a sentence does. */
function isWords(text, node) {
  const words = text.replaceAll('{…}', ' ').match(/\p{L}[\p{L}’'-]*/gu) ?? [];
  if (
    !words.length ||
    /^[a-z]+:\/\/|^\/|^#|^--|^[\w.-]+\/[\w.-]+$|[{};]\s*$|^(SELECT|INSERT|UPDATE|DELETE|ALTER|CREATE|DROP|CASE) /.test(text)
  )
    return false;
  if (isStyle(text)) return false;
  if (ts.isJsxExpression(node.parent) && ts.isJsxElement(node.parent.parent)) return true;
  return words.length > 1 || text.includes('{…}') ? /\s/.test(text) : /^\p{Lu}\p{Ll}/u.test(text) && !ts.isCallExpression(node.parent);
}

/** Names of styles: words without capitals or stops, one of them with a hyphen, a bracket, a slash or a number. */
const isStyle = (text) =>
  /^[a-z0-9\s:[\]()/.,_%#&>*+=!~'"-]+$/.test(text.replaceAll('{…}', '')) &&
  text
    .split(/\s+/)
    .filter((word) =>
      /^(-?[a-z]+(-[a-z0-9./[\]]+)+|[a-z-]+:.*|flex|grid|block|hidden|relative|absolute|fixed|sticky|truncate|border|rounded|underline|italic|uppercase|inline|grow|shrink|h-.*|w-.*|p-.*)$/.test(
        word,
      ),
    ).length *
    2 >=
    text.split(/\s+/).length;

// By itself it prints what it finds: node scripts/readable-text.mjs packages/web/src
if (process.argv[1] === import.meta.filename) process.stdout.write(JSON.stringify(process.argv.slice(2).flatMap(readableTexts)));
