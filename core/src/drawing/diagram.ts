import type { Band, ConductorColour, Role } from '../schemes';
import type { Part } from '../circuit';
import type { Box, Point } from './geometry';

/** What is to be drawn: a circuit's parts and conductors with the words beside them. */
export interface Diagram {
  readonly parts: readonly DiagramPart[];
  readonly wires: readonly DiagramWire[];
  readonly cables: readonly DiagramCable[];
}

export interface DiagramPart {
  readonly part: Part;
  readonly name: string;
  /** What is printed at its posts, by terminal, where that is known. */
  readonly posts?: Readonly<Record<string, string>>;
  readonly band: Band;
  readonly role: Role;
  /** Lines beside the symbol, the name first. */
  readonly words: readonly string[];
}

export interface DiagramWire {
  readonly id: string;
  readonly from: { readonly part: string; readonly terminal: string };
  readonly to: { readonly part: string; readonly terminal: string };
  readonly colour: ConductorColour;
  /** What it is called; none for a lead that belongs to a part. */
  readonly name?: string;
  /** True where it carries a light or a relay's coil and not the pump. */
  readonly thin?: boolean;
  /** Lines beside the conductor; none for a lead that belongs to a part. */
  readonly words: readonly string[];
}

/** Conductors that are pulled as one cable, and what is written on it where it crosses a band. */
export interface DiagramCable {
  readonly wires: readonly string[];
  readonly words: string;
}

/** The finished drawing, as data: everything has its place, nothing has been painted. */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly bands: readonly { readonly band: Band; readonly box: Box }[];
  readonly parts: readonly PlacedPart[];
  readonly wires: readonly PlacedWire[];
  readonly cables: readonly { readonly box: Box; readonly words: string; readonly wordsAt: Point | null }[];
  /** Words that found no free place; none in a good drawing. */
  readonly crowded: readonly string[];
}

export interface PlacedPart extends DiagramPart {
  readonly at: Point;
  readonly box: Box;
  readonly wordsBox: Box;
  readonly laneStep: number;
}

export interface PlacedWire extends DiagramWire {
  readonly points: readonly Point[];
  /** Where it hops over another conductor. */
  readonly hops: readonly Point[];
  readonly wordsBox: Box | null;
}

export const GRID = 10;
export const WORD_SIZE = 13;
export const WORD_LINE = 17;
