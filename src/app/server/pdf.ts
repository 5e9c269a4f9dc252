import PDFDocument from 'pdfkit';
import type { LineStyle, Page, Shape } from '@/core/formats/template/sheet';

const POINTS_PER_MM = 72 / 25.4;
const WIDTH_MM: Record<LineStyle, number> = { cut: 0.5, thin: 0.2, dashed: 0.25 };

/** Pages of shapes in millimetres as a PDF at true size. */
export async function pdfOf(pages: readonly Page[], title: string): Promise<Buffer<ArrayBuffer>> {
  const pdf = new PDFDocument({ autoFirstPage: false, info: { Title: title, Creator: 'Gorvin' }, margin: 0 });
  const chunks: Buffer[] = [];
  const done = new Promise<void>((resolve, reject) => {
    pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
    pdf.on('end', resolve);
    pdf.on('error', reject);
  });
  for (const page of pages) {
    pdf.addPage({ size: [page.widthMm * POINTS_PER_MM, page.heightMm * POINTS_PER_MM], margin: 0 });
    pdf.scale(POINTS_PER_MM);
    for (const { clip, shapes } of page.groups) {
      pdf.save();
      if (clip) pdf.rect(clip.x, clip.y, clip.width, clip.height).clip();
      for (const shape of shapes) draw(pdf, shape);
      pdf.restore();
    }
  }
  pdf.end();
  await done;
  return Buffer.concat(chunks);
}

function draw(pdf: PDFKit.PDFDocument, shape: Shape): void {
  if (shape.kind === 'text') {
    pdf.font('Helvetica').fontSize(shape.sizeMm).fillColor('black');
    const width = pdf.widthOfString(shape.text);
    const x =
      shape.align === 'left' ? shape.x : shape.align === 'right' ? shape.x - width : shape.x - width / 2;
    pdf.text(shape.text, x, shape.y, { lineBreak: false, baseline: 'alphabetic' });
    return;
  }
  pdf.lineWidth(WIDTH_MM[shape.style]).strokeColor('black');
  if (shape.style === 'dashed') pdf.dash(4, { space: 2 });
  else pdf.undash();
  if (shape.kind === 'circle') pdf.circle(shape.x, shape.y, shape.radiusMm).stroke();
  else {
    shape.points.forEach(([x, y], i) => (i === 0 ? pdf.moveTo(x, y) : pdf.lineTo(x, y)));
    if (shape.closed) pdf.closePath();
    pdf.stroke();
  }
}
