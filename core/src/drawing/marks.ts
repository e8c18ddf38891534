/** How a mark is painted; colours as CSS takes them. */
export interface Paint {
  readonly fill?: string;
  readonly stroke?: string;
  readonly strokeWidth?: number;
  readonly strokeLinecap?: 'round' | 'butt';
  readonly strokeLinejoin?: 'round';
  readonly strokeDasharray?: string;
  readonly strokeOpacity?: number;
}

/** Weight of the drawing's face. */
export type Face = 'regular' | 'medium' | 'bold';

/** A line of text; `after` stands behind it in another face. */
export interface TextMark {
  readonly kind: 'text';
  readonly x: number;
  readonly y: number;
  readonly words: string;
  readonly size: number;
  readonly face: Face;
  readonly fill: string;
  readonly anchor?: 'start' | 'middle' | 'end';
  /** Turned upright about its place, reading from below upwards. */
  readonly upright?: boolean;
  readonly after?: { readonly words: string; readonly size: number; readonly face: Face; readonly fill: string };
}

/** One thing painted: the last step of a drawing that is still data. A page paints it, a file writes it. */
export type Mark =
  | (Paint & { readonly kind: 'path'; readonly d: string })
  | (Paint & { readonly kind: 'circle'; readonly cx: number; readonly cy: number; readonly r: number })
  | (Paint & {
      readonly kind: 'rect';
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
      readonly rx?: number;
    })
  | TextMark;

/** Colours of a drawing beside those of its conductors. */
export interface Inks {
  /** Symbols and first words. */
  readonly ink: string;
  /** What symbols and bands are filled with. */
  readonly ground: string;
  /** Second words, and the edge of a conductor. */
  readonly muted: string;
  /** Bounds of bands. */
  readonly line: string;
  /** Sleeves of cables. */
  readonly raised: string;
}

/** On paper. */
export const paperInks: Inks = {
  ink: '#1B1D1F',
  ground: '#FFFFFF',
  muted: '#55585A',
  line: '#D3D0C7',
  raised: '#F7F6F2',
};
