import { act } from 'react';
import { flushSync } from 'react-dom';
import { createRoot, type Root } from 'react-dom/client';
import { PaperProvider } from 'react-native-paper';
import { Card } from './Card';
import { lightTheme } from './theme';

type Hear = (entries: readonly { readonly target: Element; readonly isIntersecting: boolean }[]) => void;

const watched = new Set<Element>();
let hear: Hear = () => undefined;

/** The browser's observer: a test says what it tells. */
class Observer {
  constructor(told: Hear) {
    hear = told;
  }

  observe = (element: Element) => watched.add(element);
  unobserve = (element: Element) => watched.delete(element);
}
Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true, IntersectionObserver: Observer });

const place = document.body.appendChild(document.createElement('div'));
const painted: string[] = [];
let root: Root;

/** One of the cards' words, which notes in what order they are shown. */
function Said({ words }: { readonly words: string }) {
  painted.push(words);
  return <>{words}</>;
}

/** Two cards, the upper in sight, and what stands in them. */
const show = (words: string) =>
  root.render(
    <PaperProvider theme={lightTheme}>
      {['upper', 'lower'].map((which) => (
        <Card key={which}>
          <Said words={`${which} ${words}`} />
        </Card>
      ))}
    </PaperProvider>,
  );
const tell = (isIntersecting: boolean, at = 1) => hear([{ target: [...watched][at] as Element, isIntersecting }]);

beforeEach(() => {
  watched.clear();
  root = createRoot(place);
  act(() => show('one'));
  painted.length = 0;
});
afterEach(() => act(() => root.unmount()));

describe('a card', () => {
  it('out of sight shows what is new after those in sight, and loses nothing of it', () => {
    tell(false);
    act(() => show('two'));
    expect(painted).toEqual(['upper two', 'lower two']);
    expect(place.textContent).toBe('upper twolower two');
  });

  it('shows each state once, wherever it lies', () => {
    tell(false, 0);
    act(() => show('two'));
    // The upper is out of sight here: it comes second.
    expect(painted).toEqual(['lower two', 'upper two']);
    tell(true, 0);
    painted.length = 0;
    act(() => show('three'));
    expect(painted).toEqual(['upper three', 'lower three']);
  });

  it('in sight again shows what is new at once', () => {
    tell(false, 0);
    tell(true, 0);
    act(() => show('two'));
    expect(painted).toEqual(['upper two', 'lower two']);
  });

  it('out of sight never goes back to what it showed before', () => {
    tell(false);
    act(() => show('two'));
    tell(true);
    act(() => show('three'));
    tell(false);
    // The next is due, and another comes before it.
    act(() => {
      show('four');
      show('five');
    });
    act(() => show('six'));
    expect(painted.filter((words) => words.startsWith('lower'))).toEqual(
      ['two', 'three', 'five', 'six'].map((words) => `lower ${words}`),
    );
  });

  it('out of sight follows what changes without end', async () => {
    tell(false);
    // As in a browser: what is shown late is not put off until the test looks.
    Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: false });
    for (let turn = 0; turn < 40; turn += 1) {
      flushSync(() => show(String(turn)));
      await new Promise((resolve) => setTimeout(resolve, 4));
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
    Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });
    const below = painted.filter((words) => words.startsWith('lower'));
    expect(below.length).toBeGreaterThan(3);
    expect(below.at(-1)).toBe('lower 39');
  });

  it('of which nothing was told shows what is new at once', () => {
    act(() => show('two'));
    expect(painted).toEqual(['upper two', 'lower two']);
  });

  it('that goes is watched no more', () => {
    expect(watched.size).toBe(2);
    act(() => root.render(null));
    expect(watched.size).toBe(0);
  });
});
