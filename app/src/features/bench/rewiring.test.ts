import { movedTo, withAdded, withoutWire } from './rewiring';

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
