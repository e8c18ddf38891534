import { answerTapsAtOnce } from './tapsAtOnce';

let end: () => void;
let now: number;
let surface: HTMLElement;
let words: HTMLElement;
const pressed = jest.fn();

beforeEach(() => {
  now = 10_000;
  pressed.mockClear();
  document.body.innerHTML = '<div data-press="soft"><span>Float</span><input></div><p>beside</p>';
  surface = document.querySelector('div') as HTMLElement;
  words = document.querySelector('span') as HTMLElement;
  surface.addEventListener('click', pressed);
  end = answerTapsAtOnce();
});
afterEach(() => end());

/** An event as the browser tells it; the test's page has no pointers of its own. */
function told(at: EventTarget, kind: string, more: object = {}): Event {
  const event = new Event(kind, { bubbles: true, cancelable: true });
  const plain = { pointerId: 1, isPrimary: true, pointerType: 'touch', clientX: 100, clientY: 200, timeStamp: now };
  for (const [name, value] of Object.entries({ ...plain, ...more })) Object.defineProperty(event, name, { value });
  at.dispatchEvent(event);
  return event;
}

function tap({ at = words as EventTarget, rests = 80, away = 0, more = {} } = {}): void {
  told(at, 'pointerdown', more);
  now += rests;
  told(at, 'pointerup', { ...more, clientX: 100 + away });
}

describe('a tap', () => {
  it('is answered as the finger leaves, once: no mouse is played after it, and no click of the browser comes through', () => {
    tap();
    expect(pressed).toHaveBeenCalledTimes(1);
    expect(told(words, 'touchend').defaultPrevented).toBe(true);
    now += 300;
    expect(told(words, 'click', { detail: 1 }).defaultPrevented).toBe(true);
    expect(pressed).toHaveBeenCalledTimes(1);
  });

  it('keeps what came under the finger from being clicked, though what was pressed is gone', () => {
    const beside = document.querySelector('p') as HTMLElement;
    const other = jest.fn();
    beside.addEventListener('click', other);
    surface.addEventListener('click', () => surface.remove());
    tap();
    expect(told(words, 'touchend').defaultPrevented).toBe(true);
    told(beside, 'click', { detail: 1 });
    expect(other).not.toHaveBeenCalled();
  });

  it.each([
    ['450 ms', { rests: 450 }, 1],
    ['451 ms', { rests: 451 }, 0],
    ['10 px further', { away: 10 }, 1],
    ['11 px further', { away: 11 }, 0],
    ['of a second finger', { more: { isPrimary: false } }, 0],
    ['of a mouse', { more: { pointerType: 'mouse' } }, 0],
    ['of a pen', { more: { pointerType: 'pen' } }, 0],
  ])('%s: is answered so often: %p', (_what, how, times) => {
    tap(how);
    expect(pressed).toHaveBeenCalledTimes(times);
    expect(told(words, 'touchend').defaultPrevented).toBe(times === 1);
  });

  it.each([
    [150, 0],
    [151, 1],
  ])('%i ms after the page moved: is answered so often: %i', (ms, times) => {
    told(document, 'scroll');
    now += ms;
    tap();
    expect(pressed).toHaveBeenCalledTimes(times);
  });

  it('that the browser takes for something else is left to it, and so is one on what hears for itself or on nothing', () => {
    told(words, 'pointerdown');
    told(words, 'pointercancel');
    told(words, 'pointerup');
    tap({ at: document.querySelector('input') as HTMLElement });
    tap({ at: document.querySelector('p') as HTMLElement });
    tap({ at: document });
    expect(pressed).not.toHaveBeenCalled();
  });

  it('ends what is being typed elsewhere before it is answered', () => {
    const field = document.body.appendChild(document.createElement('input'));
    field.focus();
    surface.addEventListener('click', () => expect(document.activeElement).toBe(document.body));
    tap();
    expect(pressed).toHaveBeenCalledTimes(1);
  });

  it('leaves a later click alone, one elsewhere, and one after another finger came down', () => {
    const later = (ms: number, more: object, before: () => void = () => undefined) => {
      tap();
      before();
      now += ms;
      return told(words, 'click', { detail: 1, ...more }).defaultPrevented;
    };
    expect(later(700, {})).toBe(true);
    expect(later(701, {})).toBe(false);
    expect(later(10, { clientX: 120 })).toBe(true);
    expect(later(10, { clientX: 121 })).toBe(false);
    expect(later(10, { detail: 0 })).toBe(false);
    expect(later(10, {}, () => told(words, 'pointerdown', { pointerType: 'mouse' }))).toBe(false);
  });

  it.each([
    'pointerover',
    'pointerdown',
    'gotpointercapture',
    'pointermove',
    'pointerup',
    'pointercancel',
    'lostpointercapture',
    'pointerout',
  ])('has nothing in the page searched for who hears its %s; a mouse’s is told', (kind) => {
    const heard = jest.fn();
    document.body.addEventListener(kind, heard);
    told(words, kind);
    expect(heard).not.toHaveBeenCalled();
    told(words, kind, { pointerType: 'mouse' });
    expect(heard).toHaveBeenCalledTimes(1);
    document.body.removeEventListener(kind, heard);
  });

  it('is left to the browser once that ended', () => {
    end();
    tap();
    expect(pressed).not.toHaveBeenCalled();
  });
});
