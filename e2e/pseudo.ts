import { existsSync, readFileSync } from 'node:fs';
import { join, sep } from 'node:path';
import type { Page } from '@playwright/test';
import ts from 'typescript';
import { build, type Plugin } from 'vite';

/**
 * The browser side in a language nobody speaks: every sentence of web/words/en is written in full-width letters. What
 * stands on a page in ordinary ones was not said there.
 */
const ROOM = `${sep}web${sep}words${sep}en${sep}`;

export const isPseudo = (text: string): boolean => /[\uff21-\uff5a]/.test(text);

const pseudo = (text: string): string =>
  text.replace(/\\.|[A-Za-z]/g, (one) =>
    one.length > 1 ? one : String.fromCharCode(one.charCodeAt(0) + 0xfee0),
  );

/** Builds it into a folder. */
export async function buildPseudo(outDir: string): Promise<void> {
  const plugin: Plugin = {
    name: 'pseudo-words',
    enforce: 'pre',
    transform: (code, id) => (id.includes(ROOM) ? { code: rewritten(code, id), map: null } : null),
  };
  await build({
    configFile: 'vite.config.ts',
    logLevel: 'error',
    plugins: [plugin],
    build: { outDir, emptyOutDir: true },
  });
}

/** Serves a page from that folder, over the kitchen's own server. */
export async function speakPseudo(page: Page, outDir: string): Promise<void> {
  await page.route('**/*', async (route) => {
    const { pathname } = new URL(route.request().url());
    if (pathname.startsWith('/api')) return route.continue();
    const file = join(outDir, pathname);
    const isFile = pathname !== '/' && existsSync(file);
    return route.fulfill({ path: isFile ? file : join(outDir, 'index.html') });
  });
}

function rewritten(code: string, id: string): string {
  const source = ts.createSourceFile(id, code, ts.ScriptTarget.Latest, true);
  const edits: { start: number; end: number; text: string }[] = [];
  const look = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isNewExpression(node) || ts.isRegularExpressionLiteral(node)) return;
    if (isText(node) && !isCode(node))
      // what is left of a text without its marks at either end
      edits.push({
        start: node.getStart() + 1,
        end: node.end - (ts.isTemplateHead(node) || ts.isTemplateMiddle(node) ? 2 : 1),
        text: pseudo(node.getText().slice(1, ts.isTemplateHead(node) || ts.isTemplateMiddle(node) ? -2 : -1)),
      });
    ts.forEachChild(node, look);
  };
  look(source);
  let text = code;
  for (const { start, end, text: instead } of edits.sort((a, b) => b.start - a.start))
    text = text.slice(0, start) + instead + text.slice(end);
  return text;
}

const isText = (
  node: ts.Node,
): node is ts.StringLiteralLike | ts.TemplateHead | ts.TemplateMiddle | ts.TemplateTail =>
  ts.isStringLiteralLike(node) || ts.isTemplateMiddleOrTemplateTail(node) || ts.isTemplateHead(node);

/** A text that is compared, looked up by or given on as a code is nothing that is read. */
function isCode(node: ts.Node): boolean {
  const { parent } = node;
  if (ts.isCaseClause(parent) || ts.isElementAccessExpression(parent)) return true;
  if (ts.isBinaryExpression(parent)) return /^(===|!==|in)$/.test(parent.operatorToken.getText());
  if (ts.isPropertyAssignment(parent)) return parent.name === node || CODES.has(parent.name.getText());
  if (ts.isCallExpression(parent))
    return !/(push|plural|sentenceCase|list)$/.test(parent.expression.getText());
  return isIn(node, 'READING_UNIT');
}

/** Whether a text is part of a constant: the units that fields are asked in. */
function isIn(node: ts.Node, name: string): boolean {
  for (let at: ts.Node | undefined = node; at; at = at.parent)
    if (ts.isVariableDeclaration(at)) return at.name.getText() === name;
  return false;
}

/** Properties that carry codes beside words. */
const CODES = new Set(['tone', 'kind', 'code']);

/** Every text that core is written in, and what it holds: what a page shows of them is not the page's own. */
export function textsOf(file: string): string[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const texts: string[] = [];
  const look = (node: ts.Node): void => {
    if (isText(node)) texts.push('text' in node ? (node.text as string) : '');
    ts.forEachChild(node, look);
  };
  look(source);
  return texts;
}
