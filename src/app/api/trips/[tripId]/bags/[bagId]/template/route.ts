import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { fileName } from '@/app/server/fileName';
import { pdfOf } from '@/app/server/pdf';
import { templateDxf } from '@/core/formats/template/dxf';
import { frameBagTemplate } from '@/core/formats/template/frameBagTemplate';
import { measuringSheet } from '@/core/formats/template/measuringSheet';
import { templateSvg } from '@/core/formats/template/svg';
import { templatePages } from '@/core/formats/template/tile';
import { factsOf } from '@/core/facts/facts';
import { reading } from '@/db/access';
import { readPlan } from '@/db/plans';

const wishSchema = z.object({
  format: z.enum(['pdf', 'svg', 'dxf', 'sheet']),
  paper: z.enum(['a4', 'letter']).default('a4'),
});

/** A frame bag's true-size template: tiled PDF, SVG or DXF at 1:1, or the measuring sheet. */
export const GET = handler<{ tripId: string; bagId: string }>(
  'bag template',
  async ({ request, params, account }) => {
    const wish = wishSchema.safeParse(Object.fromEntries(request.nextUrl.searchParams));
    if (!wish.success) throw new Refusal(422, 'A template comes as pdf, svg, dxf or sheet, on a4 or letter.');
    const stored = await reading(database(), account.id, (client) =>
      readPlan(client, account.id, params.tripId),
    );
    const bag = stored?.plan.bags.find(({ id }) => id === params.bagId);
    if (!stored || !bag) throw new Refusal(404, 'This bag is no longer on this trip.');
    const made = frameBagTemplate(factsOf(stored.plan), bag);
    if (!made.ok) throw new Refusal(422, made.error);
    const template = made.value;
    const answer = (body: BodyInit, type: string, extension: string) =>
      new NextResponse(body, {
        headers: {
          'content-type': type,
          'content-disposition': `attachment; filename="${fileName(bag.name)}${extension}"`,
        },
      });
    switch (wish.data.format) {
      case 'svg':
        return answer(templateSvg(template), 'image/svg+xml; charset=utf-8', '.svg');
      case 'dxf':
        return answer(templateDxf(template), 'image/vnd.dxf', '.dxf');
      case 'pdf': {
        const pages = templatePages(template, wish.data.paper);
        return answer(await pdfOf(pages, template.title), 'application/pdf', '-template.pdf');
      }
      case 'sheet': {
        const page = measuringSheet(template, stored.plan.bike?.name ?? 'An average bike', wish.data.paper);
        return answer(await pdfOf([page], template.title), 'application/pdf', '-measures.pdf');
      }
    }
  },
);
