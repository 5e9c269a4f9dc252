import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { inventoryPdf } from '@/app/server/inventoryPdf';
import { writeKitCsv } from '@/core/formats/kitCsv';
import { asTaken } from '@/core/kit/thing';
import { formatterFor } from '@/core/units/format';
import { reading } from '@/db/access';
import { listInventory } from '@/db/inventory';

/** Everything owned: as CSV, to be read again or opened in a spreadsheet, or as a list by system to print. */
export const GET = handler('inventory list', async ({ request, account }) => {
  const format = z.enum(['csv', 'pdf']).safeParse(request.nextUrl.searchParams.get('format'));
  if (!format.success) throw new Refusal(422, 'A list is made as csv or pdf.');
  const items = await reading(database(), account.id, (client) => listInventory(client, account.id));
  const things = items.map(({ thing }) => thing);
  return format.data === 'csv'
    ? new NextResponse(writeKitCsv(things.map(asTaken)), {
        headers: {
          'content-type': 'text/csv; charset=utf-8',
          'content-disposition': 'attachment; filename="inventory.csv"',
        },
      })
    : new NextResponse(await inventoryPdf(things, formatterFor(account.units)), {
        headers: {
          'content-type': 'application/pdf',
          'content-disposition': 'inline; filename="inventory.pdf"',
        },
      });
});
