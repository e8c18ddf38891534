import { act } from 'react';
import { createRoot } from 'react-dom/client';
import { G, Rect, Svg } from 'react-native-svg';
import { clicked } from './clicked';

Object.assign(globalThis, { IS_REACT_ACT_ENVIRONMENT: true });

it('a group of a drawing hears a click on what is in it, once, and nothing that a browser does not know', () => {
  const complained = jest.spyOn(console, 'error');
  const press = jest.fn();
  const place = document.body.appendChild(document.createElement('div'));
  const root = createRoot(place);
  act(() =>
    root.render(
      <Svg>
        <G {...clicked(press)}>
          <Rect width={10} height={10} />
        </G>
      </Svg>,
    ),
  );
  act(() => void place.querySelector('rect')?.dispatchEvent(new MouseEvent('click', { bubbles: true })));
  expect(press).toHaveBeenCalledTimes(1);
  expect(complained).not.toHaveBeenCalled();
  act(() => root.unmount());
  place.remove();
});
