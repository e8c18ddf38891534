import { memo, useLayoutEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { View, type GestureResponderEvent } from 'react-native';
import type { Cut, Scale } from '../../drawing/wellDrawing';
import { elementOf } from '../../ui/atRest';
import { doneByNow, oncePainted } from '../../ui/oncePainted';
import { usePalette } from '../../ui/theme';
import type { Place, WellPiece } from './wellPieces';

const SIZE = 48;
/** What an arrow key moves, m; with shift ten times as far. */
const FINE_M = 0.001;
/** Presses that follow one another quicker than this go on from where the last one led, ms. */
const BURST_MS = 500;

/** Shifts a handle, and the shape in the drawing that it holds, px. */
function shift(handle: HTMLElement | null, id: string, across: number, down: number): void {
  const shapes = [...(handle?.parentElement?.querySelectorAll<SVGElement>('[data-piece]') ?? [])];
  const shape = shapes.find(({ dataset }) => dataset.piece === id);
  const transform = across === 0 && down === 0 ? '' : `translate(${across}px, ${down}px)`;
  for (const one of [handle, shape]) if (one && one.style.transform !== transform) one.style.transform = transform;
}

/** A piece of the well that can be dragged, or moved by the arrow keys. */
export const PieceHandle = memo(function PieceHandle({
  piece,
  cut,
  scale,
  beside,
  chosen,
  words,
  onChoose,
  onMoving,
  onMoved,
}: {
  readonly piece: WellPiece;
  readonly cut: Cut;
  readonly scale: Scale;
  /** How far from its own place it is drawn, px. */
  readonly beside: number;
  readonly chosen: boolean;
  readonly words: string;
  readonly onChoose: (id: string) => void;
  /** Null where what was begun is broken off: it stands where it stood. */
  readonly onMoving: (id: string, to: Place | null) => void;
  readonly onMoved: (id: string, to: Place) => void;
}) {
  const palette = usePalette();
  const [held, setHeld] = useState(false);
  // The page may be shown anew only after the next press: none of them is lost.
  const pressed = useRef({ place: piece.place, at: -Infinity });
  const began = useRef({ place: piece.place, pageX: 0, pageY: 0 });
  const root = useRef<View>(null);
  const valueNow = Math.round(piece.place.zM * 1000);
  /** Where the finger has it, as long as the page was not told of that. */
  const carried = useRef<Place | null>(null);
  // Drawn where it is, it is shifted by nothing any more.
  useLayoutEffect(() => shift(elementOf(root.current), piece.id, 0, 0), [piece.id, piece.place, scale]);
  /** It goes with the finger, in the frame that tells of the finger; what follows from its place comes after. */
  const carry = (to: Place) => {
    const handle = elementOf(root.current);
    const { place } = piece;
    const across = cut === 'along' ? to.xM - place.xM : to.yM - place.yM;
    shift(handle, piece.id, across * scale.perM, (place.zM - to.zM) * scale.perM);
    if (handle) handle.ariaValueNow = String(Math.round(to.zM * 1000));
    const tells = carried.current === null;
    carried.current = to;
    if (!tells) return;
    oncePainted(() => {
      const last = carried.current;
      carried.current = null;
      if (last) flushSync(() => onMoving(piece.id, last));
    });
  };
  /** The system took the finger away, as for a call or a turned screen: nobody let the piece go where it was. */
  const brokenOff = () => {
    const handle = elementOf(root.current);
    carried.current = null;
    doneByNow();
    setHeld(false);
    shift(handle, piece.id, 0, 0);
    if (handle) handle.ariaValueNow = String(valueNow);
    onMoving(piece.id, null);
  };
  const shifted = (from: Place, across: number, up: number): Place => ({
    xM: from.xM + (cut === 'along' ? across : 0),
    yM: from.yM + (cut === 'across' ? across : 0),
    zM: from.zM + up,
  });
  const dragged = ({ nativeEvent: { pageX, pageY } }: GestureResponderEvent): Place => {
    const from = began.current;
    return shifted(from.place, (pageX - from.pageX) / scale.perM, (from.pageY - pageY) / scale.perM);
  };
  const far = ({ nativeEvent: { pageX, pageY } }: GestureResponderEvent) =>
    Math.hypot(pageX - began.current.pageX, pageY - began.current.pageY) > 2;
  const key = (event: { key: string; shiftKey?: boolean; preventDefault: () => void }) => {
    const step = FINE_M * (event.shiftKey === true ? 10 : 1);
    const by: Readonly<Record<string, readonly [number, number]>> = {
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
    };
    const move = by[event.key];
    if (event.key === 'Enter' || event.key === ' ') onChoose(piece.id);
    else if (!move || !piece.movable) return;
    else {
      const at = performance.now();
      const from = at - pressed.current.at < BURST_MS ? pressed.current.place : piece.place;
      pressed.current = { place: shifted(from, ...move), at };
      onMoved(piece.id, pressed.current.place);
    }
    event.preventDefault();
  };
  const middleM = piece.place.zM + (piece.what === 'pump' ? 18 / scale.perM : piece.onM / 2);
  const x = scale.x(cut === 'along' ? piece.place.xM : piece.place.yM) + beside;
  return (
    <View
      ref={root}
      onStartShouldSetResponder={() => true}
      onMoveShouldSetResponder={() => true}
      onResponderTerminationRequest={() => false}
      onResponderGrant={({ nativeEvent: { pageX, pageY } }) => {
        began.current = { place: piece.place, pageX, pageY };
        onChoose(piece.id);
        setHeld(true);
      }}
      onResponderMove={(event) => {
        if (piece.movable && far(event)) carry(dragged(event));
      }}
      onResponderRelease={(event) => {
        doneByNow();
        setHeld(false);
        if (piece.movable && far(event)) onMoved(piece.id, dragged(event));
      }}
      onResponderTerminate={brokenOff}
      {...({ onKeyDown: key, tabIndex: 0 } as object)}
      role="slider"
      aria-label={words}
      aria-valuenow={valueNow}
      aria-valuetext={words}
      aria-disabled={!piece.movable}
      style={[
        {
          position: 'absolute',
          left: x - SIZE / 2,
          top: scale.y(middleM) - SIZE / 2,
          width: SIZE,
          height: SIZE,
          borderRadius: 12,
          borderWidth: chosen ? 2 : 0,
          borderColor: held ? palette.accent : palette.line,
          borderStyle: 'dashed',
        },
        { touchAction: 'none', cursor: piece.movable ? 'grab' : 'pointer' } as object,
      ]}
    />
  );
});
