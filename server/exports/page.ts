/** Knows how text and pictures are set on the pages of a PDF: fonts that ship with the application, runs by what each font holds. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import PDFDocument from 'pdfkit';
import { unpacked } from './sfnt';

const FONTS = {
  text: '@fontsource/source-sans-3/files/source-sans-3-LATIN-400-normal.woff',
  strong: '@fontsource/source-sans-3/files/source-sans-3-LATIN-600-normal.woff',
  title: '@fontsource/literata/files/literata-LATIN-600-normal.woff',
} as const;
export type Face = keyof typeof FONTS;

/** What the types leave out. */
interface Opening {
  openImage(source: Buffer): PDFKit.Mixins.ImageSrc;
}

interface Fontkit {
  hasGlyphForCodePoint(code: number): boolean;
}

export interface Say {
  face?: Face;
  size?: number;
  colour?: string;
  /** Points from the left margin, and the width to break at. */
  left?: number;
  width?: number;
  gap?: number;
}

/** What a whole document is set with. */
export interface Set {
  about: { title: string; author: string };
  /** Tag of the language it is written in. */
  language: string;
  footer: (page: number, all: number) => string;
}

const fonts = new Map<string, Buffer>();

/** A font's bytes, unpacked once. */
function fontAt(path: string): Buffer {
  const there = fonts.get(path) ?? unpacked(readFileSync(path));
  fonts.set(path, there);
  return there;
}

const GREY = '#555555';
const MARGIN = 48;

/** A document of designed pages: a cursor that runs down, columns by `left` and `width`, footers at the end. */
export class Pages {
  readonly pdf: PDFKit.PDFDocument;
  readonly width: number;
  private readonly holds = new Map<string, Fontkit>();
  /** Which font holds a letter of a face, once it has been looked up. */
  private readonly held = new Map<string, string | undefined>();
  private readonly drawn = new Map<Uint8Array, PDFKit.Mixins.ImageSrc>();
  readonly done: Promise<Buffer>;

  constructor(
    root: string,
    /** Null where every page has a size of its own: then there is none before the first is begun. */
    paper: 'A4' | 'LETTER' | null,
    private readonly set: Set,
  ) {
    const require = createRequire(join(root, 'package.json'));
    const file = (face: Face, part: string) => {
      const [scope, name, ...rest] = FONTS[face].replace('LATIN', part).split('/');
      return fontAt(join(dirname(require.resolve(`${scope}/${name}/package.json`)), ...rest));
    };
    this.pdf = new PDFDocument({
      size: paper ?? 'A4',
      autoFirstPage: paper !== null,
      margin: MARGIN,
      bufferPages: true,
      // Taken as bytes too, whatever the types say of it.
      font: file('text', 'latin') as unknown as string,
      info: { Title: set.about.title, Author: set.about.author, Creator: set.about.author },
      lang: set.language,
    });
    for (const face of Object.keys(FONTS) as Face[])
      for (const part of ['latin', 'latin-ext']) this.pdf.registerFont(`${face}:${part}`, file(face, part));
    this.width = paper === null ? 0 : this.pdf.page.width - 2 * MARGIN;
    const parts: Buffer[] = [];
    this.done = new Promise((done, fail) => {
      this.pdf.on('data', (c: Buffer) => parts.push(c));
      this.pdf.on('end', () => done(Buffer.concat(parts)));
      this.pdf.on('error', fail);
    });
  }

  get y(): number {
    return this.pdf.y;
  }

  set y(v: number) {
    this.pdf.y = v;
  }

  get left(): number {
    return MARGIN;
  }

  /** Room to the foot of the page. */
  get room(): number {
    return this.pdf.page.height - MARGIN - 14 - this.pdf.y;
  }

  /** Pages begun so far. */
  get count(): number {
    return this.pdf.bufferedPageRange().count;
  }

  /** A further page, of a size in points where it has one of its own. */
  newPage(size?: [number, number]): void {
    this.pdf.addPage(size && { size, margin: 0 });
  }

  /** Begins a new page unless so many points are left. */
  need(points: number): void {
    if (this.room < points) this.newPage();
  }

  private face(name: string): Fontkit {
    let loaded = this.holds.get(name);
    if (!loaded) {
      this.pdf.font(name);
      loaded = (this.pdf as unknown as { _font: { font: Fontkit } })._font.font;
      this.holds.set(name, loaded);
    }
    return loaded;
  }

  private fontFor(face: Face, letter: string, code: number): string | undefined {
    const key = face + letter;
    if (!this.held.has(key))
      this.held.set(
        key,
        ['latin', 'latin-ext'].map((p) => `${face}:${p}`).find((f) => this.face(f).hasGlyphForCodePoint(code)),
      );
    return this.held.get(key);
  }

  /** Fractions that no font here holds in their own letters: "3 1/3" for "3⅓". */
  private spelt(text: string, face: Face): string {
    return text.replace(/(\d?)([\u2150-\u215e])/g, (all, digit: string, sign: string) =>
      this.fontFor(face, sign, sign.codePointAt(0)!) ? all : `${digit && `${digit} `}${sign.normalize('NFKC').replace('\u2044', '/')}`,
    );
  }

  /** The text cut into runs, each in the part of the face that holds its letters; what neither holds becomes a question mark. */
  private runs(text: string, face: Face): { font: string; text: string }[] {
    const out: { font: string; text: string }[] = [];
    // The marks that keep a name's direction apart have no shape of their own.
    for (const letter of this.spelt(text.replace(/[\u2068\u2069]/g, ''), face)) {
      const code = letter.codePointAt(0)!;
      const font = this.fontFor(face, letter, code);
      const last = out.at(-1);
      const shown = font ? letter : code === 10 ? '\n' : '?';
      const set = font ?? last?.font ?? `${face}:latin`;
      if (last && last.font === set) last.text += shown;
      else out.push({ font: set, text: shown });
    }
    return out;
  }

  /** A paragraph at the cursor. */
  say(text: string, { face = 'text', size = 10, colour = '#000000', left = 0, width = this.width - left, gap = 2 }: Say = {}): void {
    const { pdf } = this;
    const runs = this.runs(text, face);
    pdf.fillColor(colour).fontSize(size);
    const options = { width, lineGap: 1.2, paragraphGap: gap };
    runs.forEach((run, i) => {
      pdf.font(run.font);
      const continued = i < runs.length - 1;
      if (i === 0) pdf.text(run.text, MARGIN + left, pdf.y, { ...options, continued });
      else pdf.text(run.text, { ...options, continued });
    });
  }

  /** Words at a place of the page, points: their first line's middle height there, broken at a width where there is one. */
  textAt(
    text: string,
    x: number,
    y: number,
    { size, colour, face, anchor, width }: { size: number; colour: string; face: Face; anchor: 'start' | 'middle' | 'end'; width?: number },
  ): void {
    const { pdf } = this;
    pdf.fillColor(colour).fontSize(size);
    const lines = width === undefined ? [text] : this.broken(text, face, size, width);
    lines.forEach((line, i) => {
      const runs = this.runs(line, face);
      const widths = runs.map((r) => pdf.font(r.font).fontSize(size).widthOfString(r.text));
      const all = widths.reduce((a, b) => a + b, 0);
      let at = x - (anchor === 'start' ? 0 : anchor === 'middle' ? all / 2 : all);
      runs.forEach((r, k) => {
        pdf
          .font(r.font)
          .fontSize(size)
          .text(r.text, at, y + i * size * 1.2 - size * 0.62, { lineBreak: false });
        at += widths[k];
      });
    });
  }

  /** A text in lines of at most so many points. */
  private broken(text: string, face: Face, size: number, width: number): string[] {
    const wide = (line: string) =>
      this.runs(line, face).reduce((sum, r) => sum + this.pdf.font(r.font).fontSize(size).widthOfString(r.text), 0);
    const lines: string[] = [];
    for (const word of text.split(' ')) {
      const last = lines.at(-1);
      if (last !== undefined && wide(`${last} ${word}`) <= width) lines[lines.length - 1] = `${last} ${word}`;
      else lines.push(word);
    }
    return lines;
  }

  /** A picture laid into a box of the page, points; the same bytes are kept once in the file. */
  imageAt(bytes: Uint8Array, x: number, y: number, width: number, height: number): void {
    this.pdf.image(this.opened(bytes), x, y, { width, height });
  }

  private opened(bytes: Uint8Array): PDFKit.Mixins.ImageSrc {
    const drawn = this.drawn.get(bytes) ?? (this.pdf as unknown as Opening).openImage(Buffer.from(bytes));
    this.drawn.set(bytes, drawn);
    return drawn;
  }

  small(text: string, more: Say = {}): void {
    this.say(text, { size: 8.5, colour: GREY, ...more });
  }

  heading(text: string, level: 1 | 2 | 3 = 2): void {
    const size = { 1: 22, 2: 14, 3: 11 }[level];
    this.need(size * 4);
    if (level > 1 && this.pdf.y > MARGIN + 4) this.pdf.y += level === 2 ? 10 : 5;
    this.say(text, { face: level === 3 ? 'strong' : 'title', size, gap: level === 1 ? 6 : 3 });
  }

  rule(): void {
    this.pdf
      .moveTo(MARGIN, this.pdf.y)
      .lineTo(MARGIN + this.width, this.pdf.y)
      .lineWidth(0.4)
      .stroke('#999999');
    this.pdf.y += 4;
  }

  /** A JPEG fitted into a box whose top left lies `left` points from the margin at height y; gives the height it took. */
  picture(picture: { bytes: Uint8Array; width: number; height: number }, left: number, y: number, box: readonly [number, number]): number {
    const scale = Math.min(box[0] / picture.width, box[1] / picture.height);
    const [w, h] = [picture.width * scale, picture.height * scale];
    this.imageAt(picture.bytes, MARGIN + left, y, w, h);
    this.pdf
      .rect(MARGIN + left, y, w, h)
      .lineWidth(0.4)
      .stroke('#777777');
    return h;
  }

  swatch(hex: string, left: number, y: number, w: number, h: number): void {
    this.pdf
      .rect(MARGIN + left, y, w, h)
      .lineWidth(0.4)
      .fillAndStroke(hex, '#777777');
  }

  /** Rows of cells; each row is as high as its tallest cell and never broken over a page. With a head, it stands over the rows on every page. */
  table(columns: readonly number[], rows: readonly (readonly string[])[], head: readonly string[] | null = null): void {
    const total = columns.reduce((a, b) => a + b, 0);
    const widths = columns.map((c) => (c / total) * this.width);
    const highOf = (row: readonly string[]) => {
      this.pdf.font('text:latin').fontSize(9);
      return Math.max(...row.map((cell, i) => this.pdf.heightOfString(cell, { width: widths[i] - 8, lineGap: 1.2 })));
    };
    const set = (row: readonly string[], high: number, strong: boolean) => {
      const top = this.pdf.y;
      let left = 0;
      row.forEach((cell, i) => {
        this.pdf.y = top;
        this.say(cell, { size: 9, left, width: widths[i] - 8, face: strong || (head && i === 0) ? 'strong' : 'text', gap: 0 });
        left += widths[i];
      });
      this.pdf.y = top + high + 2;
      this.rule();
    };
    const headed = head ? highOf(head) : 0;
    rows.forEach((row, i) => {
      const high = highOf(row);
      const broken = this.room < high + 6 + (i === 0 && head ? headed + 6 : 0);
      if (broken) this.newPage();
      if (head && (broken || i === 0)) set(head, headed, true);
      set(row, high, false);
    });
  }

  /** Writes the footers and closes the file. */
  finish(): Promise<Buffer> {
    const { start, count } = this.pdf.bufferedPageRange();
    for (let i = 0; i < count; i++) {
      this.pdf.switchToPage(start + i);
      // Writing below the margin would open another page.
      this.pdf.page.margins.bottom = 0;
      this.pdf.y = this.pdf.page.height - 34;
      const foot = this.set.footer(i + 1, count);
      if (foot) this.say(foot, { size: 8, colour: GREY });
    }
    this.pdf.end();
    return this.done;
  }
}
