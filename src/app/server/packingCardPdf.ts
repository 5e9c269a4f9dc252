import PDFDocument from 'pdfkit';
import { latin } from './latin';
import type { PackingCard } from '@/core/instructions/packingCard';

type Pdf = PDFKit.PDFDocument;

const SIZES = { a4: [595.28, 841.89], letter: [612, 792] } as const;
export type Paper = keyof typeof SIZES;
const MARGIN = 34;
const GAP = 16;
const FOOT = 34;
/** From what is read at arm's length down to small print, in points; the largest at which all is on one page is taken. */
const LARGEST = 13;
const SMALLEST = 5;

/** The packing card on one page, black on white. */
export async function packingCardPdf(card: PackingCard, paper: Paper): Promise<Buffer<ArrayBuffer>> {
  const [width, height] = SIZES[paper];
  const pdf = new PDFDocument({
    size: [width, height],
    margin: 0,
    info: { Title: card.title, Creator: 'Gorvin' },
  });
  const chunks: Buffer[] = [];
  const done = new Promise<void>((resolve, reject) => {
    pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
    pdf.on('end', resolve);
    pdf.on('error', reject);
  });
  const inner = width - 2 * MARGIN;
  pdf.font('Helvetica-Bold').fontSize(22);
  pdf.text(latin(card.title), MARGIN, MARGIN, { width: inner, height: 28, ellipsis: true, lineBreak: true });
  let y = MARGIN + 34;
  for (const { label, value } of card.facts) {
    pdf.font('Helvetica-Bold').fontSize(12).text(latin(label), MARGIN, y, { lineBreak: false });
    pdf
      .font('Helvetica')
      .text(latin(value), MARGIN + 90, y, { width: inner - 90, height: 15, ellipsis: true });
    y += 17;
  }
  pdf.font('Helvetica-Bold').text('In an emergency call', MARGIN, y, { lineBreak: false });
  pdf
    .moveTo(MARGIN + 135, y + 13)
    .lineTo(width - MARGIN, y + 13)
    .lineWidth(0.8)
    .stroke();
  y += 26;
  const area = { x: MARGIN, y, width: inner, height: height - MARGIN - FOOT - y };
  let size = LARGEST;
  let columns: number | undefined;
  for (; columns === undefined; size -= 0.5)
    columns =
      [2, 3].find((some) => flow(pdf, card, { ...area, columns: some }, size, false)) ??
      (size <= SMALLEST ? 3 : undefined);
  flow(pdf, card, { ...area, columns }, size + 0.5, true);
  pdf.font('Helvetica').fontSize(8.5);
  pdf.text(latin(card.cautions.join(' ')), MARGIN, height - MARGIN - FOOT + 12, {
    width: inner,
    height: FOOT,
  });
  pdf.end();
  await done;
  return Buffer.concat(chunks);
}

interface Area {
  x: number;
  y: number;
  width: number;
  height: number;
  columns: number;
}

/** Sets the bags in columns, each bag in one piece where a column holds it. Tells whether all of it had room; draws only if told to. */
function flow(pdf: Pdf, card: PackingCard, area: Area, size: number, draws: boolean): boolean {
  const width = (area.width - GAP * (area.columns - 1)) / area.columns;
  const bottom = area.y + area.height;
  let column = 0;
  let y = area.y;
  const put = (words: string, font: string, indent: number, keptWith = 0) => {
    pdf.font(font).fontSize(size);
    const options = { width: width - indent, lineGap: size * 0.12 };
    const height = pdf.heightOfString(latin(words), options);
    if (y + height + keptWith > bottom && y > area.y) {
      column += 1;
      y = area.y;
    }
    if (draws && column < area.columns)
      pdf.text(latin(words), area.x + column * (width + GAP) + indent, y, options);
    y += height;
  };
  const heightOf = (things: readonly string[]) => {
    pdf.font('Helvetica').fontSize(size);
    return things.reduce(
      (sum, thing) => sum + pdf.heightOfString(latin(`00. ${thing}`), { width, lineGap: size * 0.12 }),
      0,
    );
  };
  const block = (head: string, sub: string, things: readonly string[], isNumbered: boolean) => {
    const whole = heightOf(things) + size * 2.6;
    put(head, 'Helvetica-Bold', 0, whole < area.height ? whole : size * 4);
    if (sub) put(sub, 'Helvetica', 0);
    things.forEach((thing, i) => put(isNumbered ? `${i + 1}. ${thing}` : thing, 'Helvetica', size * 0.6));
    y += size * 0.7;
  };
  for (const { letter, name, mass, things } of card.bags)
    block(`${letter} ${name}`.trim(), mass, things, true);
  if (card.worn.length > 0) block('Worn', '', [card.worn.join(', ')], false);
  return column < area.columns;
}
