import {
  formatAngle,
  formatLength,
  formatMass,
  formatMoment,
  formatSag,
  formatPressure,
  formatTemperature,
  formatterFor,
  formatVolume,
  signed,
} from './format';
import { addErrors, massErrorG, volumeErrorMl } from './uncertainty';

test.each([
  [0, 'metric', '0 g'],
  [-0.2, 'metric', '0 g'],
  [870, 'metric', '870 g'],
  [999.4, 'metric', '999 g'],
  [999.6, 'metric', '1.00 kg'],
  [-109, 'metric', '−109 g'],
  [13_400, 'metric', '13.4 kg'],
  [28.35, 'imperial', '1.0 oz'],
  [850.5, 'imperial', '1 lb 14.0 oz'],
  [453.59237, 'imperial', '1 lb 0.0 oz'],
  [13_400, 'imperial', '29.5 lb'],
] as const)('mass %d %s: %s', (massG, units, text) => expect(formatMass(massG, units)).toBe(text));

test.each([
  [0, '0 ml'],
  [62, '62 ml'],
  [99.6, '0.10 l'],
  [1340, '1.34 l'],
  [41_100, '41.1 l'],
] as const)('volume %d: %s, in every country', (volumeMl, text) => {
  expect(formatVolume(volumeMl, 'metric')).toBe(text);
  expect(formatVolume(volumeMl, 'imperial')).toBe(text);
});

test('lengths and temperatures', () => {
  expect([formatLength(320, 'metric'), formatLength(609.6, 'imperial')]).toEqual(['320 mm', '24.0 in']);
  expect([3, 2.78, -4].map((celsius) => formatTemperature(celsius, 'metric'))).toEqual([
    '3 °C',
    '2.8 °C',
    '−4 °C',
  ]);
  expect([10, -40].map((celsius) => formatTemperature(celsius, 'imperial'))).toEqual(['50 °F', '−40 °F']);
});

test('a formatter is one rider’s choice', () => {
  const { mass, volume, length, temperature } = formatterFor('imperial');
  expect([mass(28.35), volume(500), length(25.4), temperature(0)]).toEqual([
    '1.0 oz',
    '0.50 l',
    '1.0 in',
    '32 °F',
  ]);
});

test('differences always carry their sign, and nothing is nothing', () => {
  expect(signed('120 g', 120)).toBe('+120 g');
  expect(signed('−120 g', -120)).toBe('−120 g');
  expect(signed('0 g', 0.2)).toBe('±0');
  expect(signed('0.0 %', -0.01)).toBe('±0');
  expect(signed('0.44 kg·m', 0.44)).toBe('+0.44 kg·m');
});

test('standard errors by how a figure became known', () => {
  expect(massErrorG(800, 'estimate')).toBe(120);
  expect(massErrorG(800, 'kitchen scale')).toBe(8);
  expect(massErrorG(20, 'kitchen scale')).toBe(1);
  expect(massErrorG(20, 'luggage scale')).toBe(50);
  expect(massErrorG(800, 'label')).toBe(40);
  expect(
    [volumeErrorMl(1000, 'estimate'), volumeErrorMl(1000, 'tape'), volumeErrorMl(1000, 'rated')].map(
      Math.round,
    ),
  ).toEqual([250, 70, 100]);
  expect(addErrors([3, 4])).toBe(5);
  expect(addErrors([])).toBe(0);
});

test('pressures and angles', () => {
  expect(formatPressure(211, 'metric')).toBe('2.1 bar');
  expect(formatPressure(211, 'imperial')).toBe('31 psi');
  expect(formatAngle(73.5, 'metric')).toBe('73.5°');
  expect(formatAngle(74, 'metric')).toBe('74°');
});

test('a moment in kg·m, or in lb·ft', () => {
  // By hand: 1 kg·m is 2.2046 lb times 3.2808 ft.
  expect([formatMoment(1, 'metric'), formatMoment(1, 'imperial')]).toEqual(['1.00 kg·m', '7.2 lb·ft']);
  expect([formatSag(6, 'metric'), formatSag(6, 'imperial')]).toEqual(['6 mm/kg', '0.11 in/lb']);
  expect(formatMoment(-0.001, 'metric')).toBe('0.00 kg·m');
});
