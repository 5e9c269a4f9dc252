import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { fileName } from '@/app/server/fileName';
import { planIcs } from '@/app/server/planIcs';
import { textPdf } from '@/app/server/textPdf';
import { evaluate } from '@/core/evaluation/evaluate';
import { dayCards } from '@/core/explain/dayCards';
import { pageForHome, planByHour, shoppingLists } from '@/core/explain/takeAlong';
import { formatterFor } from '@/core/units/format';
import { reading } from '@/db/access';
import { readPlan } from '@/db/plans';

const kinds = z.enum(['calendar', 'home.txt', 'home.pdf', 'shopping.txt', 'days.pdf']);

/** What goes along on paper or in a calendar: the plan by hour, shopping lists, and a page for someone at home. */
export const GET = handler<{ tripId: string }>('take along', async ({ request, params, account }) => {
  const asked = kinds.safeParse(new URL(request.url).searchParams.get('as'));
  if (!asked.success) throw new Refusal(422, `Ask for one of: ${kinds.options.join(', ')}.`);
  const stored = await reading(database(), account.id, (client) =>
    readPlan(client, account.id, params.tripId),
  );
  if (!stored) throw new Refusal(404, 'This trip is no longer there.');
  const { trip } = stored.plan;
  const format = formatterFor(account.units);
  const facts = evaluate(stored.plan, format);
  const send = (body: BodyInit, type: string, ending: string) =>
    new NextResponse(body, {
      headers: {
        'content-type': type,
        'content-disposition': `attachment; filename="${fileName(trip.name)}-${ending}"`,
      },
    });
  switch (asked.data) {
    case 'calendar': {
      const hours = planByHour(facts, format);
      if (!hours)
        throw new Refusal(422, 'The plan has no hours without a first day and a route. Set both on Trip.');
      return send(planIcs(params.tripId, trip.name, hours), 'text/calendar; charset=utf-8', 'by-hour.ics');
    }
    case 'home.txt':
      return send(
        `${pageForHome(facts, format)
          .map((line) => line.replace(/^# /, '\n'))
          .join('\n')
          .trim()}\n`,
        'text/plain; charset=utf-8',
        'for-home.txt',
      );
    case 'home.pdf':
      return send(await textPdf(pageForHome(facts, format), trip.name), 'application/pdf', 'for-home.pdf');
    case 'days.pdf': {
      const cards = dayCards(facts, format);
      if (cards.length === 0) throw new Refusal(422, 'Cards by day need a route. Add one on Trip.');
      return send(await textPdf(cards, trip.name, 'cards'), 'application/pdf', 'by-day.pdf');
    }
    case 'shopping.txt':
      return send(
        `${shoppingLists(facts, format)
          .map(({ where, day, items }) =>
            [`${where}${day === null ? '' : `, day ${day}`}`, ...items.map((item) => `- ${item}`)].join('\n'),
          )
          .join('\n\n')}\n`,
        'text/plain; charset=utf-8',
        'shopping.txt',
      );
  }
});
