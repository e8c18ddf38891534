import { turns, type Doing, type TerminalRef } from '@harbor-latch/core/circuit/index';
import { memo } from 'react';
import { Circle, G, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { Palette } from '../ui/palette';
import { fonts } from '../ui/theme';
import type { Drawing, PlacedPart, PlacedWire } from '@harbor-latch/core/drawing/diagram';
import { clicked } from './clicked';
import { arrowsAlong, type Arrow } from './flow';
import { arrowSize, FLOWS_FROM_A, type TerminalTouch } from './live';
import { besideTerminal } from '@harbor-latch/core/drawing/besideTerminal';
import type { Box, Point } from '@harbor-latch/core/drawing/geometry';
import { shapeOf } from '@harbor-latch/core/drawing/symbols';

/** What is seen of a current. */
interface FlowSeen {
  /** From the conductor’s end to its beginning. */
  readonly back: boolean;
  /** Of its arrowheads; 0 where none are drawn. */
  readonly size: number;
}

/** What is seen of a current, A: the same for all of its decade. */
export function flowOf(amps: number): FlowSeen {
  return { back: amps < 0, size: Math.abs(amps) < FLOWS_FROM_A ? 0 : arrowSize(amps) };
}

/** Arrowheads along a conductor that carries a current: their way is its direction, their size its amount. */
export const Flow = memo(function Flow({
  wire,
  back,
  size,
  palette,
}: FlowSeen & {
  readonly wire: PlacedWire;
  readonly palette: Palette;
}) {
  if (size === 0) return null;
  return (
    <Path
      d={arrowheads(arrowsAlong(wire.points, back), size)}
      fill={palette.surface}
      stroke={palette.text}
      strokeWidth={1.6}
      strokeLinejoin="round"
    />
  );
});

/** Arrowheads as one outline: a drawing at work has hundreds of them. */
function arrowheads(arrows: readonly Arrow[], size: number): string {
  return arrows
    .map(({ x, y, turn }) => {
      const [cos, sin] = [Math.cos((turn * Math.PI) / 180) * size, Math.sin((turn * Math.PI) / 180) * size];
      const corner = (along: number, across: number) =>
        `${(x + along * cos - across * sin).toFixed(2)} ${(y + along * sin + across * cos).toFixed(2)}`;
      return `M${corner(-1, -1)} L${corner(1, 0)} L${corner(-1, 1)} Z`;
    })
    .join(' ');
}

/** A cross beside whatever a fault was planted in. */
export function FaultMark({ x, y, palette }: { readonly x: number; readonly y: number; readonly palette: Palette }) {
  return (
    <G transform={`translate(${x} ${y})`}>
      <Circle cx={0} cy={0} r={9} fill={palette.stopSoft} stroke={palette.stop} strokeWidth={2} />
      <Path d="M-4 -4 L4 4 M4 -4 L-4 4" stroke={palette.stop} strokeWidth={2.4} fill="none" />
    </G>
  );
}

/** Light rays, turning blades and sound: what a part at work shows beside its symbol. */
export const AtWork = memo(function AtWork({
  part,
  doing,
  palette,
}: {
  readonly part: PlacedPart;
  readonly doing: Doing | undefined;
  readonly palette: Palette;
}) {
  if (doing === undefined) return null;
  const { kind } = part.part;
  const stroke = { stroke: palette.accent, strokeWidth: 2.4, fill: 'none', strokeLinecap: 'round' as const };
  return (
    <G transform={`translate(${part.at.x} ${part.at.y})`}>
      {kind === 'lamp' && doing !== 'dark' ? (
        <Path
          d="M-18 -10 L-25 -14 M-18 10 L-25 14 M-20 0 H-28 M-11 -17 L-15 -24 M-11 17 L-15 24"
          {...stroke}
          strokeOpacity={doing === 'dim' ? 0.5 : 1}
          strokeDasharray={doing === 'dim' ? '3 4' : undefined}
        />
      ) : null}
      {kind === 'alarm' && doing === 'sounding' ? (
        <Path d="M-20 -10 Q-27 0 -20 10 M-27 -14 Q-37 0 -27 14" {...stroke} />
      ) : null}
      {turns(doing) ? (
        <G style={turning(doing)}>
          <Path d="M0 -31 A31 31 0 0 1 29 -11 M0 31 A31 31 0 0 1 -29 11" {...stroke} />
          <Path d={doing === 'runningBackwards' ? 'M5 -36 L-1 -31 L5 -26' : 'M22 -13 L29 -10 L31 -17'} {...stroke} />
        </G>
      ) : null}
      {doing === 'humming' || doing === 'locked' ? (
        <Path d="M-34 -8 q-4 4 0 8 t0 8 M34 -8 q4 4 0 8 t0 8" {...stroke} stroke={palette.stop} />
      ) : null}
    </G>
  );
});

/** A turn about the symbol's middle; held still for those who ask for less motion. */
function turning(doing: Doing): object {
  return {
    transformOrigin: '0px 0px',
    animationKeyframes: [{ '0%': { transform: 'rotate(0deg)' }, '100%': { transform: 'rotate(360deg)' } }],
    animationDuration: '1.6s',
    animationIterationCount: 'infinite',
    animationTimingFunction: 'linear',
    animationDirection: doing === 'runningBackwards' ? 'reverse' : 'normal',
  };
}

/** Every terminal as a target of its own, for probes and for conductors' ends. */
export function Terminals({
  drawing,
  touch,
  palette,
}: {
  readonly drawing: Drawing;
  readonly touch: TerminalTouch;
  readonly palette: Palette;
}) {
  const seen = new Set<string>();
  const places = drawing.parts.flatMap((placed) =>
    Object.entries(shapeOf(placed.part, { laneStep: placed.laneStep }).ports).flatMap(([terminal, port]) => {
      const [x, y] = [placed.at.x + port.x, placed.at.y + port.y];
      // The ways of a joint are one place.
      if (seen.has(`${x} ${y}`)) return [];
      seen.add(`${x} ${y}`);
      return [{ x, y, at: { part: placed.part.id, terminal } }];
    }),
  );
  const same = (one: TerminalTouch['red'], other: TerminalTouch['red']) =>
    one !== null && other !== null && one.part === other.part && one.terminal === other.terminal;
  return (
    <>
      {places.map(({ x, y, at }, index) => {
        const probe = same(at, touch.red) ? 'red' : same(at, touch.black) ? 'black' : null;
        const press = () => touch.onTerminal(at);
        const pressable = {
          role: 'radio',
          tabIndex: (touch.red ? probe === 'red' : index === 0) ? 0 : -1,
          'aria-label': touch.label(at),
          'aria-checked': probe !== null,
          ...clicked(press),
          onKeyDown: (event: { key: string; preventDefault: () => void }) => {
            if (event.key !== 'Enter' && event.key !== ' ') return;
            event.preventDefault();
            press();
          },
          style: { cursor: 'pointer' },
        };
        return (
          <G key={`${x} ${y}`} {...pressable}>
            <Circle cx={x} cy={y} r={19} fill="transparent" />
            <Circle cx={x} cy={y} r={6.5} fill={palette.surface} stroke={palette.accent} strokeWidth={2.4} />
            {probe ? (
              <Probe
                at={{ x, y }}
                sign={signAt(drawing, { x, y }, places)}
                letter={probe === 'red' ? '+' : '−'}
                palette={palette}
              />
            ) : null}
          </G>
        );
      })}
    </>
  );
}

/** Where a meter's two leads go. */
export function Probes({
  drawing,
  lit,
  palette,
}: {
  readonly drawing: Drawing;
  readonly lit: { readonly red: TerminalRef | null; readonly black: TerminalRef | null };
  readonly palette: Palette;
}) {
  const placeOf = (at: TerminalRef | null) => {
    const placed = drawing.parts.find(({ part }) => part.id === at?.part);
    const port = placed && at ? shapeOf(placed.part, { laneStep: placed.laneStep }).ports[at.terminal] : undefined;
    return placed && port ? { x: placed.at.x + port.x, y: placed.at.y + port.y } : null;
  };
  const otherThan = (probe: 'red' | 'black') => {
    const other = placeOf(lit[probe === 'red' ? 'black' : 'red']);
    return other ? [other] : [];
  };
  return (
    <>
      {(['black', 'red'] as const).map((probe) => {
        const at = placeOf(lit[probe]);
        return at ? (
          <G key={probe}>
            <Circle cx={at.x} cy={at.y} r={20} fill={palette.accent} fillOpacity={0.22} />
            <Probe
              at={at}
              sign={signAt(drawing, at, otherThan(probe))}
              letter={probe === 'red' ? '+' : '−'}
              palette={palette}
            />
          </G>
        ) : null;
      })}
    </>
  );
}

const SIGN = 24;

/** Where a probe's sign stands: on no word and on no other of the terminals given. */
function signAt(drawing: Drawing, at: Point, terminals: readonly Point[]): Box {
  const others = terminals
    .filter(({ x, y }) => x !== at.x || y !== at.y)
    .map(({ x, y }) => ({ x: x - 8, y: y - 8, width: 16, height: 16 }));
  return besideTerminal(drawing, at, SIGN, others);
}

function Probe({
  at,
  sign,
  letter,
  palette,
}: {
  readonly at: Point;
  readonly sign: Box;
  readonly letter: string;
  readonly palette: Palette;
}) {
  const [x, y] = [sign.x + SIGN / 2, sign.y + SIGN / 2];
  return (
    <G>
      <Path d={`M${at.x} ${at.y} L${x} ${y}`} stroke={palette.accent} strokeWidth={3} />
      <Rect x={sign.x} y={sign.y} width={SIGN} height={SIGN} rx={6} fill={palette.accent} />
      <SvgText x={x} y={y + 6} fontFamily={fonts.bold} fontSize={18} fill={palette.onAccent} textAnchor="middle">
        {letter}
      </SvgText>
    </G>
  );
}

interface MarkPlace {
  readonly id: string;
  readonly x: number;
  readonly y: number;
}

/** Where the mark of a part or conductor stands. */
export function markPlaces(drawing: Drawing, isMarked: (id: string) => boolean): MarkPlace[] {
  return [
    ...drawing.parts
      .filter(({ part }) => isMarked(part.id))
      .map(({ part, box }) => ({ id: part.id, x: box.x - 4, y: box.y - 2 })),
    ...drawing.wires
      .filter(({ id }) => isMarked(id))
      .flatMap(({ id, points }) => {
        const [a, b] = [points[0], points[1]];
        return a && b ? [{ id, x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }] : [];
      }),
  ];
}

/** Where a fault may be: a disc that fills from below by how likely it is there, with a question mark. */
export function SuspectMark({
  x,
  y,
  share,
  palette,
}: MarkPlace & { readonly share: number; readonly palette: Palette }) {
  const r = 15;
  const top = y + r - 2 * r * Math.min(1, Math.max(0, share));
  const half = Math.sqrt(Math.max(0, r * r - (top - y) ** 2));
  return (
    <G>
      <Circle cx={x} cy={y} r={r} fill={palette.surface} stroke={palette.caution} strokeWidth={3} />
      <Path
        d={`M${x - half} ${top} A${r} ${r} 0 ${share > 0.5 ? 1 : 0} 0 ${x + half} ${top} Z`}
        fill={palette.cautionSoft}
      />
      <SvgText x={x} y={y + 6} fontFamily={fonts.bold} fontSize={18} fill={palette.caution} textAnchor="middle">
        ?
      </SvgText>
    </G>
  );
}
