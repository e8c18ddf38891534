import { nextAt, rove } from './roving';

/** A group of so many members, one of them focused; what was pressed is noted. */
function group(html: string) {
  document.body.innerHTML = html;
  const host = document.querySelector('[data-group]');
  if (!host) throw new Error('No group.');
  const pressed: string[] = [];
  for (const member of host.querySelectorAll('[id]')) member.addEventListener('click', () => pressed.push(member.id));
  const key = (name: string, choosing = true, prevented = false) => {
    const event = { key: name, currentTarget: host, defaultPrevented: prevented, preventDefault: jest.fn() };
    rove(event, choosing);
    return event.preventDefault.mock.calls.length > 0;
  };
  const focus = (id: string) => document.getElementById(id)?.focus();
  const focused = () => document.activeElement?.id;
  return { key, focus, focused, pressed };
}

const THREE =
  '<div data-group role="radiogroup"><a id="a" role="radio" tabindex="0"></a><a id="b" role="radio" tabindex="-1"></a><a id="c" role="radio" tabindex="-1"></a></div>';

describe('arrow keys in a group', () => {
  it.each([
    ['ArrowRight', 0, 1],
    ['ArrowDown', 1, 2],
    ['ArrowRight', 2, 0],
    ['ArrowLeft', 0, 2],
    ['ArrowUp', 2, 1],
    ['Home', 2, 0],
    ['End', 0, 2],
    ['x', 0, null],
  ] as const)('%s leads from %i to %s', (key, at, to) => expect(nextAt(key, at, 3)).toBe(to));

  it('choose what they reach', () => {
    const { key, focus, focused, pressed } = group(THREE);
    focus('a');
    expect(key('ArrowRight')).toBe(true);
    expect([focused(), pressed]).toEqual(['b', ['b']]);
  });

  it('only go there where choosing is for Space', () => {
    const { key, focus, focused, pressed } = group(THREE);
    focus('a');
    key('ArrowLeft', false);
    expect([focused(), pressed]).toEqual(['c', []]);
    key(' ', false);
    expect(pressed).toEqual(['c']);
  });

  it('press nothing twice where there is one alone', () => {
    const { key, focus, pressed } = group(
      '<div data-group role="tablist"><a id="a" role="tab" tabindex="0"></a></div>',
    );
    focus('a');
    key('ArrowRight');
    expect(pressed).toEqual([]);
  });

  it('pass over what cannot be chosen, and over groups within', () => {
    const { key, focus, focused } = group(
      '<div data-group role="radiogroup"><a id="a" role="radio" tabindex="0"></a><a id="b" role="radio" aria-disabled="true" tabindex="-1"></a><div role="radiogroup"><a id="in" role="radio" tabindex="-1"></a></div><a id="c" role="radio" tabindex="-1"></a></div>',
    );
    focus('a');
    key('ArrowRight');
    expect(focused()).toBe('c');
  });

  it('are left alone elsewhere, and where a member used the key itself', () => {
    const { key, focus, focused, pressed } = group(THREE);
    (document.activeElement as HTMLElement | null)?.blur();
    expect(key('ArrowRight')).toBe(false);
    focus('a');
    expect(key('ArrowRight', true, true)).toBe(false);
    expect(key('x')).toBe(false);
    expect([focused(), pressed]).toEqual(['a', []]);
  });
});
