import { afterPaint } from './afterPaint';

/** The browser's two calls by hand: the frame is painted when the test says so, time passes when it says so. */
let frames: Map<number, () => void>;
beforeEach(() => {
  jest.useFakeTimers();
  frames = new Map();
  Object.assign(globalThis, {
    requestAnimationFrame: (run: () => void) => frames.set(frames.size + 1, run).size,
    cancelAnimationFrame: (frame: number) => frames.delete(frame),
  });
});
afterEach(() => {
  jest.useRealTimers();
  for (const name of ['requestAnimationFrame', 'cancelAnimationFrame'])
    Reflect.deleteProperty(globalThis, name);
});
const paint = () => {
  for (const run of frames.values()) run();
  frames.clear();
};

test('runs once, after the frame and not in it', () => {
  const run = jest.fn();
  afterPaint(run);
  paint();
  expect(run).not.toHaveBeenCalled();
  jest.runAllTimers();
  expect(run).toHaveBeenCalledTimes(1);
});

test('a page that is not painted does it all the same, and not again when it is seen', () => {
  const run = jest.fn();
  afterPaint(run);
  jest.runAllTimers();
  expect(run).toHaveBeenCalledTimes(1);
  paint();
  jest.runAllTimers();
  expect(run).toHaveBeenCalledTimes(1);
});

test('cancelled, it is not done, before the frame or after', () => {
  const run = jest.fn();
  afterPaint(run)();
  const takeBack = afterPaint(run);
  paint();
  takeBack();
  jest.runAllTimers();
  expect(run).not.toHaveBeenCalled();
});
