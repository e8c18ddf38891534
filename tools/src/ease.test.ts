import { Ease } from './ease';

/** A machine whose fixed loop takes 10 ms, then what is said; so much of which is stolen. */
const at = (loops: readonly number[], stolen = 0) => {
  const said = [...loops];
  let warm = 20;
  return new Ease(
    () => (warm-- > 0 ? 10 : (said.shift() ?? NaN)),
    () => () => stolen,
  );
};

describe('a machine', () => {
  it.each<readonly [string, readonly number[], number, boolean]>([
    ['left alone', [10, 11], 0, true],
    ['a quarter slower before', [12.5, 10], 0, true],
    ['more than that before', [12.6, 10], 0, false],
    ['a quarter slower after', [10, 12.5], 0, true],
    ['more than that after', [10, 12.6], 0, false],
    ['quicker after than ever, and so slow before', [10, 7.9], 0, false],
    ['of which three in a hundred are stolen', [10, 10], 0.03, true],
    ['of which more is stolen', [10, 10], 0.031, false],
  ])('%s', (_name, loops, stolen, atEase) => {
    expect(at(loops, stolen).watch()()).toBe(atEase);
  });

  it('goes by the best there was, whenever that was', () => {
    const ease = at([8, 8, 10, 10, 10.1, 10]);
    expect([ease.watch()(), ease.watch()(), ease.watch()()]).toEqual([true, true, false]);
  });

  it('is this one, of which it can be said', () => {
    expect(typeof new Ease().watch()()).toBe('boolean');
  });
});
