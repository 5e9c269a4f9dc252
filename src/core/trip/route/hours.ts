import { z } from 'zod';
import { isOneLine } from '@/core/units/text';

const WEEK_MIN = 7 * 1440;

/**
 * When a place is open: as written, in the common notation ("Mo-Fr 08:00-18:00; Sa 08:00-12:00"), and as it was read, so that judging
 * a plan needs no reader.
 */
export const hoursSchema = z.object({
  text: z
    .string()
    .min(1)
    .max(255, 'At most 255 letters.')
    .refine(isOneLine, 'Hours are one line of plain text.'),
  /** Minutes after Monday's midnight, from and to in turn, rising; what goes on past Sunday ends at the week's end. */
  open: z
    .array(z.int().min(0).max(WEEK_MIN))
    .max(400)
    .refine(
      (open) => open.length % 2 === 0 && open.every((minute, i) => i === 0 || minute >= open[i - 1]!),
      'Hours open and close in turn.',
    ),
  /** Other weeks have other hours: a season, a holiday. */
  varies: z.boolean(),
});
export type Hours = z.infer<typeof hoursSchema>;

/** Minutes after Monday's midnight, of a moment on a date. @example weekMinute('2027-04-16', 600) // 6360: a Friday */
export const weekMinute = (date: string, minute: number): number =>
  (((new Date(`${date}T00:00:00Z`).getUTCDay() + 6) % 7) * 1440 + minute) % WEEK_MIN;

/** @example isOpen({ open: [480, 1080], … }, 600) // true: Monday at ten */
export function isOpen({ open }: Hours, minuteOfWeek: number): boolean {
  for (let i = 0; i < open.length; i += 2)
    if (minuteOfWeek >= open[i]! && minuteOfWeek < open[i + 1]!) return true;
  return false;
}

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
/** @example weekday('2027-04-17') // 'Saturday' */
export const weekday = (date: string): string => WEEKDAYS[Math.floor(weekMinute(date, 0) / 1440)]!;
