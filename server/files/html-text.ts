import { Tokenizer } from 'htmlparser2';

/**
 * The parts of a page that are asked for, found in one pass over its tokens: no tree is built, so that a page of a
 * million open tags costs what its length costs.
 */

/** Attributes and text of each script of a page. */
function scriptsOf(page: string): { attributes: Map<string, string>; text: string }[] {
  const found: { attributes: Map<string, string>; text: string }[] = [];
  let inside: { attributes: Map<string, string>; text: string } | null = null;
  let isOpening = false;
  let name = '';
  let value = '';
  read(page, {
    onopentagname(start, end) {
      isOpening = page.slice(start, end).toLowerCase() === 'script';
      if (isOpening) inside = { attributes: new Map(), text: '' };
    },
    onattribname(start, end) {
      name = page.slice(start, end).toLowerCase();
      value = '';
    },
    onattribdata(start, end) {
      value += page.slice(start, end);
    },
    onattribend() {
      if (isOpening && inside && !inside.attributes.has(name)) inside.attributes.set(name, value);
    },
    onopentagend() {
      isOpening = false;
    },
    ontext(start, end) {
      if (inside && !isOpening) inside.text += page.slice(start, end);
    },
    onclosetag() {
      if (inside) found.push(inside);
      inside = null;
    },
  });
  return found;
}

/** What the linked data of a page says: the text of each of its scripts of that type. */
export function linkedData(page: string): string[] {
  return scriptsOf(page)
    .filter((script) => /^application\/ld\+json\s*(?:;|$)/i.test(script.attributes.get('type')?.trim() ?? ''))
    .map((script) => script.text.trim());
}

/** Elements that begin a line of their own. */
const BLOCKS: ReadonlySet<string> = new Set(
  'address article aside blockquote br dd div dl dt figcaption footer form h1 h2 h3 h4 h5 h6 header hr li main nav ol p section table td th tr ul'.split(
    ' ',
  ),
);

/** The lines of a page as a reader sees them, from its first heading on: scripts and styles left out. */
export function linesOfHtml(page: string): string[] {
  let text = '';
  let headingAt: number | null = null;
  let hidden: string | null = null;
  const begin = (start: number, end: number, isOpening: boolean) => {
    const name = page.slice(start, end).toLowerCase();
    if (name === 'script' || name === 'style') hidden = isOpening ? name : null;
    if (BLOCKS.has(name)) text += '\n';
    if (isOpening && name === 'h1') headingAt ??= text.length;
  };
  read(page, {
    onopentagname: (start, end) => begin(start, end, true),
    onclosetag: (start, end) => begin(start, end, false),
    ontext(start, end) {
      if (!hidden) text += page.slice(start, end).replace(/\s+/g, ' ');
    },
    ontextentity(codePoint) {
      if (!hidden) text += String.fromCodePoint(codePoint);
    },
  });
  return text
    .slice(headingAt ?? 0)
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
}

/** The text of something written in HTML, its entities read, its tags left out. */
export function textOfHtml(html: string): string {
  const parts: string[] = [];
  read(html, {
    ontext: (start, end) => void parts.push(html.slice(start, end)),
    ontextentity: (codePoint) => void parts.push(String.fromCodePoint(codePoint)),
  });
  return parts.join('');
}

type Callbacks = ConstructorParameters<typeof Tokenizer>[1];

const NOTHING: Callbacks = {
  onattribdata() {},
  onattribentity() {},
  onattribend() {},
  onattribname() {},
  oncdata() {},
  onclosetag() {},
  oncomment() {},
  ondeclaration() {},
  onend() {},
  onopentagend() {},
  onopentagname() {},
  onprocessinginstruction() {},
  onselfclosingtag() {},
  ontext() {},
  ontextentity() {},
  isInForeignContext: () => false,
};

function read(html: string, callbacks: Partial<Callbacks>): void {
  const tokenizer = new Tokenizer({ xmlMode: false, decodeEntities: true }, { ...NOTHING, ...callbacks });
  tokenizer.write(html);
  tokenizer.end();
}
