import { cardsFollow, keepInSight, layOutAtRest } from './atRest';
import { browserIsIdle, browserThatIsBusy, touch } from '../testing/idleBrowser.fixture';
import { hearTouches } from '../whenQuiet';

let end: () => void = () => undefined;

beforeEach(() => {
  browserThatIsBusy();
  Object.assign(window, { innerHeight: 844 });
  end = hearTouches();
});
afterEach(() => {
  end();
  jest.useRealTimers();
});

/** A room with cards that lie so, px. */
function room(...cards: readonly (readonly [top: number, bottom: number])[]): HTMLElement {
  const element = document.createElement('div');
  for (const [top, bottom] of cards) {
    const card = element.appendChild(document.createElement('div'));
    card.dataset.card = '';
    card.getBoundingClientRect = () => ({ top, bottom }) as DOMRect;
  }
  return element;
}

const marks = (element: HTMLElement) => [...element.children].map((card) => (card as HTMLElement).dataset.inSight);
const inSight = (element: HTMLElement) => marks(element).map((mark) => mark === '');

describe('what rests', () => {
  it('keeps the cards laid out that are in sight, a pixel of them at least', () => {
    const element = room([-200, 0], [-200, 1], [100, 300], [843, 900], [844, 900]);
    keepInSight(element);
    browserIsIdle();
    expect(inSight(element)).toEqual([false, true, true, true, false]);
  });

  it('lets a card go that is in sight no more', () => {
    const element = room([100, 300]);
    keepInSight(element);
    browserIsIdle();
    (element.firstElementChild as HTMLElement).getBoundingClientRect = () => ({ top: 900, bottom: 950 }) as DOMRect;
    keepInSight(element);
    browserIsIdle();
    expect(inSight(element)).toEqual([false]);
  });

  it('brings the cards out of sight two frames after it was shown, and leaves those in sight', () => {
    const element = room([100, 300], [900, 950]);
    keepInSight(element);
    browserIsIdle();
    expect(marks(element)).toEqual(['', 'later']);
    cardsFollow(element);
    jest.advanceTimersToNextTimer();
    expect(marks(element)).toEqual(['', 'later']);
    jest.advanceTimersToNextTimer();
    expect(marks(element)).toEqual(['', undefined]);
  });

  it('leaves them out where it rests again before', () => {
    const element = room([900, 950]);
    keepInSight(element);
    browserIsIdle();
    const takeBack = cardsFollow(element);
    jest.advanceTimersToNextTimer();
    takeBack();
    jest.runAllTimers();
    expect(marks(element)).toEqual(['later']);
  });

  it('is laid out after a change once nobody touched anything for two seconds, or not at all once that is taken back', () => {
    const [element, other] = [room([100, 300]), room([100, 300])];
    touch();
    layOutAtRest(element);
    layOutAtRest(other)();
    jest.advanceTimersByTime(1990);
    browserIsIdle();
    expect(inSight(element)).toEqual([false]);
    jest.advanceTimersByTime(20);
    browserIsIdle();
    browserIsIdle();
    expect([inSight(element), inSight(other)]).toEqual([[true], [false]]);
  });
});
