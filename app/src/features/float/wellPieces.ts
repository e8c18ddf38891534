import { movedWater } from '@harbor-latch/core/assess/movedWater';
import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import { circuitsOf, waterOf } from '@harbor-latch/core/runs/circuitsOf';
import type { WaterFacts } from '@harbor-latch/core/findings/waterFacts';
import type { Circuit, Job } from '@harbor-latch/core/job/index';
import { schemeOf } from '@harbor-latch/core/schemes/index';
import { pumpPlaceOf } from '@harbor-latch/core/water/index';

export interface Place {
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
}

/** A pump or float as it stands in the well. */
export interface WellPiece {
  /** Of the circuit, with `pump` or `float` after it. */
  readonly id: string;
  readonly circuit: Circuit;
  readonly what: 'pump' | 'float';
  readonly duty: 'primary' | 'backup' | 'alarm';
  readonly name: string;
  readonly place: Place;
  /** Trip heights over its base, of a float. */
  readonly onM: number;
  readonly offM: number;
  readonly movable: boolean;
}

const dutyWords = { primary: 'First', backup: 'Backup', alarm: 'Alarm' } as const;

/** Everything that stands in a well, of all circuits. */
export function piecesOf(assessed: readonly AssessedCircuit[], wellId: string): WellPiece[] {
  return circuitsOf(assessed, wellId).flatMap((one) => {
    const { circuit } = one;
    const facts = waterOf(one);
    if (!facts || !circuit.water) return [];
    const { duty } = schemeOf(circuit);
    const base = { circuit, duty, onM: 0, offM: 0 };
    const pumps = one.status === 'sized';
    return [
      ...(pumps
        ? [
            {
              ...base,
              id: `${circuit.id} pump`,
              what: 'pump' as const,
              name: `${dutyWords[duty]} pump`,
              place: pumpPlaceOf(circuit.water),
              movable: circuit.water.pumpAt !== undefined,
            },
          ]
        : []),
      ...(facts.float
        ? [
            {
              ...base,
              id: `${circuit.id} float`,
              what: 'float' as const,
              name: facts.sensor === 'probe' ? `${dutyWords[duty]} probe` : `${dutyWords[duty]} float`,
              place: facts.float,
              onM: facts.float.onM,
              offM: facts.float.offM,
              movable: facts.sensor !== 'integral',
            },
          ]
        : []),
    ];
  });
}

const millimetres = (metres: number) => Math.round(metres * 1000) / 1000;

/** The circuit with one of its pieces elsewhere, to the millimetre. */
export function movedPiece({ circuit, what }: WellPiece, to: Place): Circuit {
  if (!circuit.water) return circuit;
  const place = { xM: millimetres(to.xM), yM: millimetres(to.yM), zM: millimetres(to.zM) };
  return {
    ...circuit,
    water:
      what === 'pump'
        ? { ...circuit.water, pumpAt: place }
        : { ...circuit.water, float: { ...circuit.water.float, ...place } },
  };
}

/** The water of a circuit with a piece held elsewhere, while it is dragged. */
export function whileMoved(job: Job, assessed: AssessedCircuit, piece: WellPiece, to: Place): WaterFacts | null {
  return assessed.status === 'incomplete' ? null : movedWater(job, assessed, movedPiece(piece, to));
}
