import type { PackingCard } from '@/core/instructions/packingCard';
import { packingCardPdf } from './packingCardPdf';

const card = (bags: number, things: number): PackingCard => ({
  title: 'A trip with a name that is far too long for one line of the card, and goes on',
  bags: Array.from({ length: bags }, (_, i) => ({
    letter: String.fromCharCode(65 + (i % 26)),
    name: 'Seat pack, main',
    mass: '1.96 kg, at most 4.50 kg',
    things: Array.from({ length: things }, (_, n) => `Thing ${n} with 🏕️ and a ligature łódź`),
  })),
  worn: ['Helmet'],
  facts: [{ label: 'First aid', value: 'B Front pouch' }],
  cautions: ['Limits come first.'],
});

test.each([
  ['a light load', 3, 4],
  ['a usual one', 12, 6],
  ['far more than anyone packs', 40, 12],
])('%s is one page', async (_name, bags, things) => {
  for (const paper of ['a4', 'letter'] as const) {
    const pdf = (await packingCardPdf(card(bags, things), paper)).toString('latin1');
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
  }
});
