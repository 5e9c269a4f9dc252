import { NextResponse } from 'next/server';
import { door } from '@/app/server/database';
import { log } from '@/app/server/log';

export const dynamic = 'force-dynamic';

/** Whether the server can do its work: 200 with the database's newest migration, 503 without a database. */
export async function GET(): Promise<NextResponse> {
  try {
    const { rows } = await door().query<{ name: string }>(
      'select name from schema_migration order by id desc limit 1',
    );
    return NextResponse.json({ status: 'ok', database: 'ok', migration: rows[0]?.name ?? null });
  } catch (error) {
    log.error({ route: 'health', err: error }, 'the database does not answer');
    return NextResponse.json({ status: 'failing', database: 'does not answer' }, { status: 503 });
  }
}
