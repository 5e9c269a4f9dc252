import { powerByDay } from './byDay';

const system = {
  drawWhPerDay: 12,
  days: 3,
  banksMah: 10_000,
  panelW: 0,
  dynamoW: 0,
  sunHours: 4,
  movingHours: 4,
  speedKmh: 15,
  coldestC: 10,
  socketNights: 0,
};
const day = { ridingHours: 5, hasSocket: false };

test('a bank of 31.45 Wh and 12 Wh a day: empty 62 % into the third day; a socket fills it again', () => {
  const days = powerByDay([day, day, day], system);
  expect(days.map(({ left }) => Math.round(100 * left) / 100)).toEqual([19.45, 7.45, 0]);
  expect(days.map(({ emptyAfterH }) => emptyAfterH && Math.round(100 * emptyAfterH) / 100)).toEqual([
    null,
    null,
    3.1,
  ]);
  const socket = powerByDay([day, { ...day, hasSocket: true }, day], system);
  expect(socket[2]!.left).toBeCloseTo(19.45, 6);
});

test('a dynamo makes 3 W from 15 km/h on, and more than the bank holds is lost', () => {
  const days = powerByDay([day, day, day], { ...system, dynamoW: 3 });
  expect(days[0]).toMatchObject({ made: 15, emptyAfterH: null });
  expect(days.at(-1)!.left).toBeCloseTo(31.45, 6);
  expect(powerByDay([day], { ...system, dynamoW: 3, speedKmh: 7.5 })[0]!.made).toBe(7.5);
});
