import type { Edit } from '@/core/plan/edit';

/** Something to press: an edit that mends it, or the loader. */
export type Fix = { label: string; edit: Edit } | { label: string; action: 'load for me' };
