import { movedTo, swapOf, swapped, withAdded, withoutWire } from './rewiring';

const at = (part: string, terminal: string) => ({ part, terminal });

describe('rewiring', () => {
  it('keeps the start that was moved before when the end is moved too', () => {
    const once = movedTo(undefined, 'auto', 'from', at('switch', 'manual'));
    expect(movedTo(once, 'auto', 'to', at('joint-pump', 'cable'))).toEqual({
      moved: { auto: { from: 'switch.manual', to: 'joint-pump.cable' } },
    });
  });

  it('numbers what is added so that taking one off never gives its number to another', () => {
    const two = withAdded(
      withAdded(undefined, at('switch', 'common'), at('switch', 'auto')),
      at('bus', 'main'),
      at('pump', 'plus'),
    );
    expect(two.added?.map(({ id }) => id)).toEqual(['added-1', 'added-2']);
    const one = withoutWire(two, 'added-1');
    expect(withAdded(one, at('fuse', 'load'), at('pump', 'plus')).added?.map(({ id }) => id)).toEqual([
      'added-2',
      'added-3',
    ]);
  });

  it('moves an added conductor where it is listed, and takes a planned one off with its moves', () => {
    const added = withAdded(undefined, at('switch', 'common'), at('switch', 'auto'));
    expect(movedTo(added, 'added-1', 'to', at('pump', 'plus')).added?.[0]?.to).toBe('pump.plus');
    const moved = movedTo(undefined, 'auto', 'to', at('pump', 'plus'));
    expect(withoutWire(moved, 'auto')).toEqual({ moved: {}, removed: ['auto'] });
  });
});

describe('two conductors', () => {
  const manual = { id: 'manual', from: at('switch', 'manual'), to: at('joint-pump', 'cable') };
  const auto = { id: 'auto', from: at('switch', 'auto'), to: at('joint-float', 'cable') };
  const feed = { id: 'feed', from: at('fuse', 'load'), to: at('switch', 'common') };

  it('change places at the switch that both are on', () => {
    expect(swapped(undefined, manual, auto)).toEqual({
      moved: { manual: { from: 'switch.auto' }, auto: { from: 'switch.manual' } },
    });
    expect(swapped(undefined, feed, auto)).toEqual({
      moved: { feed: { to: 'switch.auto' }, auto: { from: 'switch.common' } },
    });
  });

  it('cannot where they meet nowhere, or on one post', () => {
    expect(swapOf(manual, { id: 'x', from: at('bus', 'stud'), to: at('battery', 'minus') })).toBeUndefined();
    expect(swapOf(manual, { ...manual, id: 'tap', to: at('light', 'plus') })).toBeUndefined();
  });
});
