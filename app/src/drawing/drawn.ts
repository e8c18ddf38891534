import { batteryOf } from '@harbor-latch/core/assess/batteryOf';
import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { circuitDiagram } from '@harbor-latch/core/drawing/circuitDiagram';
import type { Diagram, Drawing } from '@harbor-latch/core/drawing/diagram';
import { layoutDiagram } from '@harbor-latch/core/drawing/layout';
import type { Job } from '@harbor-latch/core/job/index';
import type { UnitSystem } from '@harbor-latch/core/units/index';
import { replaceEqualDeep } from '@tanstack/react-query';

/** So many diagrams are kept: those of a few circuits that one goes to and fro between. */
const MOST_KEPT = 24;

/**
 * Drawings as they were made last. Laying one out takes longer than all else a station shows, and most changes of a job leave
 * it as it was: a diagram that says the same is the same object, and is laid out once for every station that shows it.
 */
export class Drawn {
  private readonly last = new Map<string, Diagram>();
  private readonly laid = new WeakMap<Diagram, Map<number, Drawing>>();

  /**
   * What a drawing of a circuit shows.
   * @param kind what is made of it: the same circuit is drawn in more than one way
   * @param made makes another diagram of the circuit's
   */
  diagram(
    assessed: AssessedCircuit,
    job: Job,
    units: UnitSystem,
    kind = 'plain',
    made: (of: Diagram) => Diagram = (of) => of,
  ): Diagram {
    const { circuit } = assessed;
    const key = `${job.boat.id} ${circuit.id} ${units} ${kind}`;
    const now = replaceEqualDeep(this.last.get(key), made(circuitDiagram(assessed, batteryOf(job, circuit), units)));
    this.last.delete(key);
    this.last.set(key, now);
    for (const oldest of this.last.keys()) if (this.last.size > MOST_KEPT) this.last.delete(oldest);
    return now;
  }

  /** A diagram laid out at a width, px. */
  drawing(diagram: Diagram, width: number): Drawing {
    const widths = this.laid.get(diagram) ?? new Map<number, Drawing>();
    this.laid.set(diagram, widths);
    const drawing = widths.get(width) ?? layoutDiagram(diagram, width);
    widths.set(width, drawing);
    return drawing;
  }
}

/** Those of this page. */
export const drawn = new Drawn();
