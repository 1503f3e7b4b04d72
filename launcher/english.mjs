// Counts what still stands in English outside words/: sentences in string literals and in the text of components.
import { readFileSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import ts from 'typescript';
import { ROOT } from './setup.mjs';

const FOLDERS = ['core', 'server', 'ui', 'app', 'headless'];
/** Attributes of components that hold words a person reads; others hold classes, paths and the like. */
const READ = new Set(['aria-label', 'aria-valuetext', 'title', 'alt', 'placeholder', 'label', 'hint', 'caption']);
/** Calls whose strings are for whoever runs or develops the program. */
const FOR_DEVELOPERS = /^(log\.\w+|console\.\w+|Error|RangeError|TypeError|require|import|sql|URL|RegExp|everySoOften)$/;
/** Settings of libraries, and what is drawn rather than read. */
const SETTINGS = /^(className|style|form|stroke|d|onDelete|isolationLevel|appName|font)$/;
/** Statements for the database and style sheets. */
const OTHER_TONGUES = /^\s*[`(]?\s*(select|insert|update|set|show|create|delete|alter|drop)\b|^` |`$|^border-|@media|px "/i;
/** Invented data for the demo, which is nobody's interface. */
const DATA = /^server\/(demo\/|accounts\/demoAccount\.ts)/;

const WORDS = /[A-Za-z’']{2,}\s+[A-Za-z’']{2,}/;

function callName(node) {
  if (ts.isCallExpression(node) || ts.isNewExpression(node)) return node.expression.getText();
  if (ts.isTaggedTemplateExpression(node)) return node.tag.getText();
  return null;
}

/** Whether a string is spoken to nobody but developers, or is no sentence at all by where it stands. */
function aside(node) {
  for (let up = node.parent; up; up = up.parent) {
    const name = callName(up);
    if (name && FOR_DEVELOPERS.test(name)) return true;
    if (ts.isImportDeclaration(up) || ts.isExportDeclaration(up) || ts.isLiteralTypeNode(up)) return true;
    if (ts.isJsxAttribute(up)) return !READ.has(up.name.getText());
    if (ts.isPropertyAssignment(up) && SETTINGS.test(up.name.getText())) return true;
    if (ts.isFunctionLike(up) || ts.isSourceFile(up)) return false;
  }
  return false;
}

/** Every literal in a file that reads like English. */
export function englishIn(path, source) {
  const file = ts.createSourceFile(path, source, ts.ScriptTarget.Latest, true, path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS);
  const found = [];
  const add = (node, text) => {
    const { line } = file.getLineAndCharacterOfPosition(node.getStart());
    found.push({ line: line + 1, text: text.trim().replace(/\s+/g, ' ').slice(0, 100) });
  };
  const visit = (node) => {
    if (ts.isJsxText(node) && /\p{L}{2,}/u.test(node.text)) add(node, node.text);
    else if (ts.isStringLiteralLike(node) || ts.isTemplateHead(node) || ts.isTemplateMiddle(node) || ts.isTemplateTail(node)) {
      const attribute = ts.isJsxAttribute(node.parent) && READ.has(node.parent.name.getText());
      const silent = aside(node) || ts.isExpressionStatement(node.parent) || OTHER_TONGUES.test(node.text) || /^: /.test(node.text);
      if (!silent && (WORDS.test(node.text) || (attribute && /[A-Za-z]{2,}/.test(node.text)))) add(node, node.text);
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  return found;
}

function main() {
  const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', ...FOLDERS], { cwd: ROOT, encoding: 'utf8' })
    .split('\n')
    .filter((f) => /\.tsx?$/.test(f) && !/\.test\.tsx?$/.test(f) && !DATA.test(f));
  const counts = Object.fromEntries(FOLDERS.map((f) => [f, 0]));
  for (const path of files)
    for (const { line, text } of englishIn(path, readFileSync(join(ROOT, path), 'utf8'))) {
      counts[path.split('/')[0]] += 1;
      process.stderr.write(`${path}:${line}: ${text}\n`);
    }
  for (const [folder, n] of Object.entries(counts)) process.stdout.write(`${folder}: ${n} English literals\n`);
  return Object.values(counts).some((n) => n > 0) ? 1 : 0;
}

process.exitCode = main();
