import PDFDocument from 'pdfkit';
import { latin } from './latin';

const MARGIN = 50;

/** Lines of text as a PDF; a line that begins with "# " is a heading. */
export async function textPdf(lines: readonly string[], title: string): Promise<Buffer<ArrayBuffer>> {
  const pdf = new PDFDocument({ size: 'A4', margin: MARGIN, info: { Title: title, Creator: 'Gorvin' } });
  const chunks: Buffer[] = [];
  const done = new Promise<void>((resolve, reject) => {
    pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
    pdf.on('end', resolve);
    pdf.on('error', reject);
  });
  lines.forEach((line, i) => {
    const isHeading = line.startsWith('# ');
    if (isHeading && i > 0) pdf.moveDown(0.6);
    pdf
      .font(isHeading ? 'Helvetica-Bold' : 'Helvetica')
      .fontSize(i === 0 ? 20 : isHeading ? 13 : 11)
      .text(latin(isHeading ? line.slice(2) : line));
  });
  pdf.end();
  await done;
  return Buffer.concat(chunks);
}
