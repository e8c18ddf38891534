import { act } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { PaperProvider } from 'react-native-paper';
import { ChoiceRow } from './ChoiceRow';
import { doneByNow } from './oncePainted';
import { lightTheme } from './theme';

Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });

const place = document.body.appendChild(document.createElement('div'));
const chosen: string[] = [];
/** What comes of a choice: as a rule, that it is taken. */
let takes: (value: string) => string;
let root: Root;

const show = (value: string, ahead: boolean) => act(() => render(value, ahead));

function render(value: string, ahead: boolean) {
  root.render(
    <PaperProvider theme={lightTheme} settings={{ icon: () => null }}>
      <ChoiceRow
        label="Rating"
        value={value}
        ahead={ahead}
        choices={['5', '10', '15'].map((one) => ({ value: one, label: `${one} A` }))}
        onChoose={(one) => {
          chosen.push(one);
          render(takes(one), ahead);
        }}
      />
    </PaperProvider>,
  );
}

const radios = () => [...place.querySelectorAll<HTMLElement>('[role=radio]')];
const marked = () =>
  radios().flatMap((one) =>
    (one.ariaChecked ?? one.getAttribute('aria-checked')) === 'true' ? [one.textContent] : [],
  );
const touch = (words: string) =>
  act(() =>
    radios()
      .find((one) => one.textContent === words)
      ?.click(),
  );

beforeEach(() => {
  // No frame is painted but when a test says so.
  jest.spyOn(window, 'requestAnimationFrame').mockReturnValue(0);
  chosen.length = 0;
  takes = (value) => value;
  root = createRoot(place);
});
afterEach(async () => {
  await act(async () => doneByNow());
  act(() => root.unmount());
  jest.restoreAllMocks();
});

describe('a choice', () => {
  it('is taken as it is touched', () => {
    show('5', false);
    touch('10 A');
    expect(chosen).toEqual(['10']);
  });

  it('stands where it was touched before it is taken, where that is asked for', async () => {
    show('5', true);
    touch('10 A');
    expect([marked(), chosen]).toEqual([['10 A'], []]);
    await act(async () => doneByNow());
    expect([marked(), chosen]).toEqual([['10 A'], ['10']]);
  });

  it('that is refused stands where it stood', async () => {
    takes = () => '5';
    show('5', true);
    touch('15 A');
    expect(marked()).toEqual(['15 A']);
    await act(async () => doneByNow());
    expect([marked(), chosen]).toEqual([['5 A'], ['15']]);
  });

  it('is taken before another is touched', async () => {
    show('5', true);
    touch('10 A');
    await act(async () => document.dispatchEvent(new Event('pointerdown', { bubbles: true })));
    expect(chosen).toEqual(['10']);
    touch('15 A');
    await act(async () => doneByNow());
    expect([marked(), chosen]).toEqual([['15 A'], ['10', '15']]);
  });
});
