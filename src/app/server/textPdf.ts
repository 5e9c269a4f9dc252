import PDFDocument from 'pdfkit';
import { latin } from './latin';

/** A page to read at a table, or cards to fold into a pocket, one for each heading. Sizes in points. */
const STYLES = {
  page: { size: 'A4', margin: 50, title: 20, heading: 13, text: 11, gap: 0 },
  cards: { size: 'A6', margin: 22, title: 14, heading: 14, text: 10, gap: 3 },
} as const;

/** Lines of text as a PDF; a line that begins with "# " is a heading. */
export async function textPdf(
  lines: readonly string[],
  title: string,
  style: keyof typeof STYLES = 'page',
): Promise<Buffer<ArrayBuffer>> {
  const { size, margin, ...points } = STYLES[style];
  const pdf = new PDFDocument({ size, margin, info: { Title: title, Creator: 'Gorvin' } });
  const chunks: Buffer[] = [];
  const done = new Promise<void>((resolve, reject) => {
    pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
    pdf.on('end', resolve);
    pdf.on('error', reject);
  });
  lines.forEach((line, i) => {
    const isHeading = line.startsWith('# ');
    if (isHeading && i > 0) {
      if (style === 'cards') pdf.addPage();
      else pdf.moveDown(0.6);
    }
    pdf
      .font(isHeading ? 'Helvetica-Bold' : 'Helvetica')
      .fontSize(i === 0 ? points.title : isHeading ? points.heading : points.text)
      .text(latin(isHeading ? line.slice(2) : line), { paragraphGap: points.gap });
  });
  pdf.end();
  await done;
  return Buffer.concat(chunks);
}
