import { isOpen, weekMinute } from '@/core/trip/route/hours';
import { readHours } from './readHours';

const at = (date: string, clock: string) => {
  const [hours, minutes] = clock.split(':').map(Number);
  return weekMinute(date, 60 * hours! + minutes!);
};

// 2027-04-16 is a Friday.
test.each([
  ['Mo-Fr 08:00-12:00,14:00-18:00; Sa 08:00-13:00', '2027-04-16', '11:59', true, false],
  ['Mo-Fr 08:00-12:00,14:00-18:00; Sa 08:00-13:00', '2027-04-16', '13:00', false, false],
  ['Mo-Fr 08:00-12:00,14:00-18:00; Sa 08:00-13:00', '2027-04-17', '12:00', true, false],
  ['Mo-Fr 08:00-12:00,14:00-18:00; Sa 08:00-13:00', '2027-04-18', '10:00', false, false],
  ['24/7', '2027-04-18', '23:59', true, false],
  ['Mo-Su 18:00-02:00', '2027-04-16', '01:30', true, false],
  ['Mo-Su 18:00-02:00', '2027-04-16', '03:00', false, false],
  ['Jun-Sep Mo-Su 10:00-20:00', '2027-04-16', '12:00', false, true],
  ['Apr-Oct Mo-Su 10:00-20:00', '2027-04-16', '12:00', true, true],
  ['Tu 09:00-12:00 || "by appointment"', '2027-04-16', '10:00', false, false],
])('%s on %s at %s', async (text, date, clock, open, varies) => {
  const read = await readHours(text, date);
  expect(read.ok && isOpen(read.value, at(date, clock))).toBe(open);
  expect(read.ok && read.value.varies).toBe(varies);
});

test.each(['nonsense 7', 'Mo-Fr 25:00-26:00', '08:00', 'closed maybe?'])(
  '%s is refused with a way to write it',
  async (text) => {
    const read = await readHours(text, '2027-04-16');
    expect(read.ok ? '' : read.error).toMatch(
      /^These hours cannot be read: .+ Write them like Mo-Fr 08:00-18:00/,
    );
  },
);

test('hours that never open have no open minute', async () => {
  const read = await readHours('off', '2027-04-16');
  expect(read.ok && read.value.open).toEqual([]);
});
