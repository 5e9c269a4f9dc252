import { NextResponse } from 'next/server';
import { planJsonSchema } from '@/core/formats/planSchema';

export const dynamic = 'force-static';

/** The published JSON Schema of the plan file. */
export const GET = (): NextResponse =>
  NextResponse.json(planJsonSchema(), { headers: { 'content-type': 'application/schema+json' } });
