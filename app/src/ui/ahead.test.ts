import { backToPage, openPage, showKept } from './ahead';

const go = jest.fn();

beforeEach(() => {
  jest.useFakeTimers();
  go.mockClear();
  document.body.innerHTML = `<div id="room">
    <div data-kept="size" aria-hidden="false"></div><div data-kept="float" aria-hidden="true"></div>
    <div data-kept="bench" aria-hidden="true"></div></div>
    <div data-page="rests" data-ready="b1" aria-hidden="true"></div>
    <div data-page="rests" data-ready="b1/c1/size" aria-hidden="true"></div>
    <div data-page="rests"></div>`;
});
afterEach(() => {
  jest.runAllTimers();
  jest.useRealTimers();
});

const one = (selector: string) => document.querySelector<HTMLElement>(selector) as HTMLElement;
const kept = (name: string) => one(`[data-kept=${name}]`);
const aheadOf = (...elements: readonly HTMLElement[]) => elements.map(({ dataset }) => dataset.ahead);
/** The renderer does what it was told. */
const follow = jest.fn((from: string, to: string) => {
  kept(from).setAttribute('aria-hidden', 'true');
  kept(to).setAttribute('aria-hidden', 'false');
});
beforeEach(() => follow.mockClear());
const show = (to: string, from = 'size') => showKept(one('#room'), to, () => follow(from, to));

describe('what is kept ready in a room', () => {
  it('is shown in the place of what stood there, and the renderer follows once that is painted', () => {
    show('float');
    expect(aheadOf(kept('size'), kept('float'), kept('bench'))).toEqual(['rests', 'shown', undefined]);
    // The frame itself comes first.
    jest.advanceTimersToNextTimer();
    expect(follow).not.toHaveBeenCalled();
    jest.advanceTimersToNextTimer();
    expect(follow).toHaveBeenCalledTimes(1);
    expect(aheadOf(kept('size'), kept('float'), kept('bench'))).toEqual([undefined, undefined, undefined]);
  });

  it('is told of before something else is shown', () => {
    show('float');
    show('bench', 'float');
    expect(follow.mock.calls).toEqual([['size', 'float']]);
    expect(aheadOf(kept('size'), kept('float'), kept('bench'))).toEqual([undefined, 'rests', 'shown']);
    jest.runAllTimers();
    expect(follow.mock.calls).toEqual([
      ['size', 'float'],
      ['float', 'bench'],
    ]);
  });

  it.each(['size', 'log'])('is left to the renderer at once where nothing rests by that name: %s', (name) => {
    follow.mockImplementationOnce(() => undefined);
    show(name);
    expect(follow).toHaveBeenCalledTimes(1);
    expect(aheadOf(kept('size'), kept('float'))).toEqual([undefined, undefined]);
  });

  it('is left to the renderer where there is no room', () => {
    follow.mockImplementationOnce(() => undefined);
    showKept(null, 'float', () => follow('size', 'float'));
    expect(follow).toHaveBeenCalledTimes(1);
  });
});

describe('a page', () => {
  const open = (href: string) => openPage(href, () => go(href));
  const boat = () => one('[data-ready=b1]');
  const circuit = () => one('[data-ready="b1/c1/size"]');

  it('that is made ready for the address lies over the others, and is gone to once that is painted', () => {
    open('/boat/b1');
    expect(aheadOf(boat(), circuit())).toEqual(['shown', undefined]);
    jest.advanceTimersToNextTimer();
    expect(go).not.toHaveBeenCalled();
    jest.advanceTimersToNextTimer();
    expect(go.mock.calls).toEqual([['/boat/b1']]);
    // The page takes the mark back once the stack shows it.
    expect(aheadOf(boat())).toEqual(['shown']);
  });

  it('is found by all of its address', () => {
    open('/boat/b1/c1/size');
    expect(aheadOf(boat(), circuit())).toEqual([undefined, 'shown']);
  });

  it.each(['/boat/b2', '/boat/b1/log', '/boat/b1/c1/survey', '/'])(
    'that is not ready is gone to at once: %s',
    (href) => {
      open(href);
      expect(go.mock.calls).toEqual([[href]]);
      expect(aheadOf(boat(), circuit())).toEqual([undefined, undefined]);
    },
  );

  it('that the stack does not show covers nothing after two seconds', () => {
    open('/boat/b1');
    jest.advanceTimersByTime(1900);
    expect(aheadOf(boat())).toEqual(['shown']);
    jest.advanceTimersByTime(200);
    expect(aheadOf(boat())).toEqual([undefined]);
  });

  it('under the one that is shown is shown on the way back, whatever is made ready beside it', () => {
    document.body.innerHTML = `<div data-page="rests" aria-hidden="true"></div><div data-page="rests" aria-hidden="true" id="under"></div>
      <div data-page="rests" data-ready="b9" aria-hidden="true"></div><div data-page="rests" id="shown"></div>
      <div data-page="rests" data-ready="b9/c1/size" aria-hidden="true"></div>`;
    backToPage(() => go('back'));
    expect(aheadOf(...document.querySelectorAll<HTMLElement>('[data-page]'))).toEqual([
      undefined,
      'shown',
      undefined,
      undefined,
      undefined,
    ]);
    expect(go).not.toHaveBeenCalled();
    jest.runOnlyPendingTimers();
    jest.runOnlyPendingTimers();
    expect(go.mock.calls).toEqual([['back']]);
  });

  it('is gone back from at once where none lies under it', () => {
    document.body.innerHTML =
      '<div data-page="rests" data-ready="b9" aria-hidden="true"></div><div data-page="rests"></div>';
    backToPage(() => go('back'));
    expect(go.mock.calls).toEqual([['back']]);
  });
});
