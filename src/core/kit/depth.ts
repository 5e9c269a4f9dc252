import type { Call } from './thing';

/** Order of calls from mouth to bottom: what is wanted most lies nearest the mouth (domain, rule 5). */
export const DEPTH: Record<Call, number> = { riding: 0, urgent: 1, stop: 2, repair: 3, camp: 4 };
