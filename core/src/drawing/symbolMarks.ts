import { isClosed, type Doing } from '../circuit';
import { WORD_SIZE, type PlacedPart } from './diagram';
import type { Inks, Mark, Paint } from './marks';

type SymbolInks = Pick<Inks, 'ink' | 'ground' | 'muted'>;

/**
 * The IEC symbol of a part, about its anchor.
 * @param doing what the part is doing, where it is at work; its contacts are then drawn as they stand
 */
export function symbolMarks(
  { part, laneStep, posts = {} }: Pick<PlacedPart, 'part' | 'laneStep' | 'posts'>,
  doing: Doing | undefined,
  { ink, ground, muted }: SymbolInks,
): readonly Mark[] {
  const closed = doing !== undefined && isClosed(doing);
  const stroke: Paint = { stroke: ink, strokeWidth: 2.5, strokeLinecap: 'round', fill: 'none' };
  const path = (d: string, more: Paint = {}): Mark => ({ kind: 'path', d, ...stroke, ...more });
  const ring = (cx: number, cy: number, r: number, more: Paint = {}): Mark => ({
    kind: 'circle',
    cx,
    cy,
    r,
    ...stroke,
    fill: ground,
    ...more,
  });
  const box = (x: number, y: number, width: number, height: number, more: Paint = {}): Mark => ({
    kind: 'rect',
    x,
    y,
    width,
    height,
    ...stroke,
    fill: ground,
    ...more,
  });
  const letter = (y: number, size: number): Mark => ({
    kind: 'text',
    x: 0,
    y,
    words: 'M',
    size,
    face: 'bold',
    fill: ink,
    anchor: 'middle',
  });
  const post = (x: number, words: string, fill = ink, below = 0): Mark => ({
    kind: 'text',
    x: x + 9,
    y: 40 + below,
    words,
    size: WORD_SIZE,
    face: 'regular',
    fill,
  });
  const terminal = (x: number, y: number, words: string, anchor: 'start' | 'end' = 'start'): Mark => ({
    kind: 'text',
    x,
    y,
    words,
    size: 11,
    face: 'regular',
    fill: muted,
    anchor,
  });
  /** A contact between two posts, its blade as it stands. */
  const contact = (open: string, shut: string): Mark[] => [
    path(closed ? shut : open, { strokeWidth: closed ? 4 : 2.5 }),
  ];
  switch (part.kind) {
    case 'battery':
      return [
        path('M0 20 V6 Q0 0 6 0 H18'),
        path('M42 0 H60'),
        path('M18 -18 V18'),
        path('M26 -9 V9', { strokeWidth: 5, strokeLinecap: 'butt' }),
        path('M34 -18 V18'),
        path('M42 -9 V9', { strokeWidth: 5, strokeLinecap: 'butt' }),
        path('M4 -14 H12 M8 -18 V-10', { strokeWidth: 2 }),
        path('M49 -14 H57', { strokeWidth: 2 }),
      ];
    case 'fuse':
      return doing === 'open'
        ? [box(6, -16, 16, 32, { strokeDasharray: '4 3' }), path('M0 -20 V-14 M0 14 V20')]
        : [box(-8, -16, 16, 32), path('M0 -20 V20')];
    case 'negative-bus':
      return [{ kind: 'rect', x: -20, y: -6, width: 40, height: 12, rx: 3, fill: ink }, path('M0 -10 V10')];
    case 'three-way-switch': {
      const lever = `M${leverX(doing, laneStep, 8)} -17 L${leverX(doing, laneStep, laneStep - 6)} 15`;
      return [
        path(`M0 -40 V-25 M${-laneStep} 25 V70 M${laneStep} 25 V70`),
        path(lever, { strokeWidth: doing === undefined ? 2.5 : 4 }),
        {
          kind: 'path',
          d: `M-8 -15 L${-laneStep + 10} 14 M8 -15 L${laneStep - 10} 14`,
          stroke: muted,
          strokeWidth: 1.5,
          strokeDasharray: '4 4',
          fill: 'none',
        },
        ...[-laneStep, 0, laneStep].map((x) => ring(x, 20, 5)),
        ring(0, -20, 5),
        post(-laneStep, printed(posts['manual'], 'manual')),
        post(0, 'off'),
        post(laneStep, printed(posts['auto'], 'auto')),
        ...(part.momentaryManual ? [post(-laneStep, 'springs back', muted, 16)] : []),
      ];
    }
    case 'float-switch':
      return [
        path('M0 -30 V-20 M0 16 V30'),
        ...contact('M0 14 L17 -17', 'M0 14 L2 -17'),
        ring(0, -17, 3.5),
        ring(0, 15, 3.5),
        path('M9 0 H20', { strokeWidth: 1.5, strokeDasharray: '3 3' }),
        ring(25, 0, 5, { strokeWidth: 2 }),
        path('M15 12 q4 -5 8 0 t8 0', { strokeWidth: 1.8 }),
      ];
    case 'on-off-switch':
      return [
        path('M0 -30 V-20 M0 16 V30'),
        ...contact('M0 14 L15 -17', 'M0 14 L2 -17'),
        ring(0, -17, 3.5),
        ring(0, 15, 3.5),
        ...(part.breaksAuto
          ? [
              path('M30 -30 V-20 M30 16 V30 M8 0 H28', { strokeWidth: 1.5 }),
              path(closed ? 'M30 14 L45 -17' : 'M30 14 L32 -17', { strokeWidth: closed ? 2.5 : 4 }),
              ring(30, -17, 3.5),
              ring(30, 15, 3.5),
            ]
          : []),
      ];
    case 'isolator':
      return [
        path('M0 -30 V-18 M0 16 V30 M-8 -18 H8'),
        path(doing === undefined || closed ? 'M0 16 L2 -15' : 'M0 16 L15 -15', { strokeWidth: closed ? 4 : 2.5 }),
        ring(0, 16, 3.5),
      ];
    case 'lamp':
      return [
        path('M0 -20 V-14 M0 14 V20'),
        ring(0, 0, 14),
        path('M-10 -10 L10 10 M10 -10 L-10 10', { strokeWidth: 2 }),
      ];
    case 'shared-load':
      return [path('M0 -30 V-20 M0 20 V30'), box(-20, -20, 40, 40, { strokeDasharray: '5 4' }), letter(6, 16)];
    case 'joint':
      return [{ kind: 'circle', cx: 0, cy: 0, r: 6, fill: ink }];
    case 'pump':
      return [
        path('M0 -30 V-26 M0 26 V30'),
        ...(part.inside ? [path('M20 -30 V-17')] : []),
        ring(0, 0, 26),
        letter(7, 20),
        ...(part.inside
          ? [path(part.inside.sensing === 'float' ? 'M10 15 q4 -5 8 0' : 'M13 10 V16 H18', { strokeWidth: 1.8 })]
          : []),
      ];
    case 'alarm':
      return [
        path('M0 -30 V-14 M0 14 V30'),
        path('M-14 14 H14 V4 A14 16 0 0 0 -14 4 Z', { fill: ground }),
        path('M-5 -16 L5 -16'),
        ...(part.ownV === undefined ? [] : [path('M-7 5 V11 M-2 2 V14 M3 5 V11 M8 2 V14', { strokeWidth: 1.6 })]),
      ];
    case 'diode':
      return [path('M0 -20 V20'), path('M-10 -9 H10 L0 8 Z', { fill: ground }), path('M-10 9 H10')];
    case 'probe-sensor':
      return [
        path('M0 -30 V-20 M0 20 V30 M20 20 V30'),
        box(-18, -20, 46, 40),
        path(closed ? 'M0 -12 V12' : 'M0 -12 V-7 M0 5 V12 M0 5 L9 -8', { strokeWidth: 2 }),
        path('M15 -10 V4 M22 -10 V4', { strokeWidth: 2 }),
        path('M11 8 q3 -4 6 0 t6 0', { strokeWidth: 1.6 }),
      ];
    case 'through-float':
      return [
        path('M-30 -30 V-10 Q-30 0 -20 4 V30'),
        box(-38, -20, 76, 40, { fill: 'none', strokeDasharray: '6 4' }),
        path('M30 -30 V-12 M-20 8 H8'),
        ...contact('M8 8 L20 -14', 'M8 8 L29 -7'),
        ring(30, -10, 3),
        path('M10 30 V16 H36 V0 H40', { strokeWidth: 2 }),
      ];
    case 'relay':
      return [
        path('M0 -40 V-18 M0 16 V40 M60 -40 V-12 M60 12 V40'),
        ...contact('M0 -18 L-9 14', 'M0 -18 L1 14'),
        path('M-20 0 H-14 V8', { strokeWidth: 2.2 }),
        ring(0, -18, 3.5),
        ring(0, 16, 3.5),
        box(44, -12, 32, 24),
        { kind: 'path', d: 'M-3 -2 H44', stroke: muted, strokeWidth: 1.5, strokeDasharray: '4 4', fill: 'none' },
        terminal(6, -28, '30'),
        terminal(6, 36, '87'),
        terminal(44, -28, '86', 'end'),
        terminal(44, 36, '85', 'end'),
      ];
    case 'neighbour':
      return [
        path('M0 -30 V-20 M0 20 V30 M-20 0 H-18'),
        box(-18, -20, 36, 40, { strokeDasharray: '5 4' }),
        letter(6, 16),
      ];
    case 'meter':
      return [ring(0, 0, 20)];
    default:
      return part satisfies never;
  }
}

/** Where the lever of a three-way switch points. */
function leverX(doing: Doing | undefined, laneStep: number, by: number): number {
  if (doing !== 'manual' && doing !== 'auto') return 0;
  return (doing === 'manual' ? -1 : 1) * Math.min(by, laneStep);
}

/** A post under the name printed on the panel. */
function printed(name: string | undefined, does: string): string {
  return name === undefined ? does : `${name} · ${does}`;
}
