import { act, type ReactElement } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { Press } from './Press';

Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });

let root: Root;
let place: HTMLElement;
beforeEach(() => {
  place = document.body.appendChild(document.createElement('div'));
  root = createRoot(place);
});
afterEach(() => {
  act(() => root.unmount());
  place.remove();
});

function shown(surface: ReactElement): HTMLElement {
  act(() => root.render(surface));
  const first = place.firstElementChild;
  if (!(first instanceof HTMLElement)) throw new Error('Nothing is shown.');
  return first;
}

const key = (at: HTMLElement, name: string, repeat = false) =>
  act(
    () => void at.dispatchEvent(new KeyboardEvent('keydown', { key: name, repeat, bubbles: true, cancelable: true })),
  );

describe('a surface that can be pressed', () => {
  it('hears a click and the Enter key, not a key that is held, and no other key', () => {
    const press = jest.fn();
    const surface = shown(<Press role="radio" onPress={press} />);
    act(() => surface.click());
    key(surface, 'Enter');
    expect(press).toHaveBeenCalledTimes(2);
    key(surface, 'Enter', true);
    key(surface, 'a');
    expect(press).toHaveBeenCalledTimes(2);
  });

  it('leaves the keys of a button to the browser, which makes a click of them', () => {
    const press = jest.fn();
    const button = shown(<Press role="button" onPress={press} />);
    expect(button.tagName).toBe('BUTTON');
    key(button, 'Enter');
    expect(press).not.toHaveBeenCalled();
  });

  it('says what it looks like under a finger; one that is off hears nothing and is no stop of the tab key', () => {
    const press = jest.fn();
    const look = (of: HTMLElement) => [of.dataset['press'], of.tabIndex, of.getAttribute('aria-disabled')];
    expect(look(shown(<Press role="tab" look="dim" onPress={press} />))).toEqual(['dim', 0, null]);
    const off = shown(<Press role="tab" look="dim" disabled onPress={press} />);
    expect(look(off)).toEqual([undefined, -1, 'true']);
    act(() => off.click());
    key(off, 'Enter');
    expect(press).not.toHaveBeenCalled();
  });

  it('is pressed alone where it lies within another', () => {
    const [outer, inner] = [jest.fn(), jest.fn()];
    const surface = shown(
      <Press role="tab" onPress={outer}>
        <Press role="radio" onPress={inner} />
      </Press>,
    );
    act(() => (surface.firstElementChild as HTMLElement).click());
    expect([outer.mock.calls.length, inner.mock.calls.length]).toEqual([0, 1]);
  });
});
