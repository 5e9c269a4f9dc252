import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { fileName } from '@/app/server/fileName';
import { packingCardPdf } from '@/app/server/packingCardPdf';
import { evaluate } from '@/core/evaluation/evaluate';
import { packingCard } from '@/core/instructions/packingCard';
import { formatterFor } from '@/core/units/format';
import { reading } from '@/db/access';
import { readPlan } from '@/db/plans';

const wishSchema = z.object({ paper: z.enum(['a4', 'letter']).default('a4') });

/** The packing card: one page as a PDF. */
export const GET = handler<{ tripId: string }>('packing card', async ({ request, params, account }) => {
  const wish = wishSchema.safeParse(Object.fromEntries(request.nextUrl.searchParams));
  if (!wish.success) throw new Refusal(422, 'The paper is a4 or letter.');
  const stored = await reading(database(), account.id, (client) =>
    readPlan(client, account.id, params.tripId),
  );
  if (!stored) throw new Refusal(404, 'This trip is no longer there.');
  const format = formatterFor(account.units);
  const pdf = await packingCardPdf(packingCard(evaluate(stored.plan, format), format), wish.data.paper);
  return new NextResponse(pdf, {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${fileName(stored.plan.trip.name)}-packing.pdf"`,
    },
  });
});
