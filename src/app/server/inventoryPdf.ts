import PDFDocument from 'pdfkit';
import { CONDITION_WORDS, SYSTEMS, type OwnedThing } from '@/core/kit/thing';
import type { Formatter } from '@/core/units/format';
import { latin } from './latin';

const MARGIN = 40;

/** Everything owned by system, as a list to tick off on paper. */
export async function inventoryPdf(
  things: readonly OwnedThing[],
  format: Formatter,
): Promise<Buffer<ArrayBuffer>> {
  const pdf = new PDFDocument({
    size: 'A4',
    margin: MARGIN,
    info: { Title: 'Inventory', Creator: 'Gorvin' },
  });
  const chunks: Buffer[] = [];
  const done = new Promise<void>((resolve, reject) => {
    pdf.on('data', (chunk: Buffer) => chunks.push(chunk));
    pdf.on('end', resolve);
    pdf.on('error', reject);
  });
  const width = pdf.page.width - 2 * MARGIN;
  const bottom = pdf.page.height - MARGIN;
  pdf.font('Helvetica-Bold').fontSize(20).text('Inventory');
  for (const system of SYSTEMS) {
    const own = things.filter((thing) => thing.system === system && !thing.toGet);
    if (own.length === 0) continue;
    const massG = own.reduce((sum, thing) => sum + thing.massG, 0);
    // A heading stays with the first of its things.
    if (pdf.y + 50 > bottom) pdf.addPage();
    pdf.moveDown(0.8).font('Helvetica-Bold').fontSize(12);
    pdf.text(latin(`${system[0]!.toUpperCase()}${system.slice(1)}, ${format.mass(massG)}`), MARGIN);
    pdf.fontSize(10);
    for (const thing of own) {
      if (pdf.y + 16 > bottom) pdf.addPage();
      const { y } = pdf;
      pdf
        .rect(MARGIN, y + 1, 8, 8)
        .lineWidth(0.6)
        .stroke();
      const state = [
        ...(thing.condition === 'fine' ? [] : [CONDITION_WORDS[thing.condition]]),
        ...(thing.dueOn === null ? [] : [`due ${thing.dueOn}`]),
      ].join(', ');
      const right = latin(`${thing.massSource === 'estimate' ? '~ ' : ''}${format.mass(thing.massG)}`);
      pdf.font('Helvetica').text(right, MARGIN, y, { width, align: 'right', lineBreak: false });
      pdf.text(latin(`${thing.name}${state ? ` (${state})` : ''}`), MARGIN + 16, y, {
        width: width - 100,
        height: 12,
        ellipsis: true,
      });
      pdf.y = y + 15;
    }
  }
  pdf.end();
  await done;
  return Buffer.concat(chunks);
}
