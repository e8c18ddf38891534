import { roles } from '../circuit';
import { conductorSizes, copperFactor, defaults, dropSchools, resistivityOhmM20C } from '../reference';
import type { CircuitFacts, ConductorFacts, ConductorPiece } from '../findings';
import { formatAmps, formatOhms, formatPercent, formatVolts, plainNumber } from '../units';

/** One line of arithmetic: what it is, how it was reckoned, and where it comes from. */
export interface WorkingStep {
  readonly what: string;
  readonly sum: string;
  readonly source: string;
}

/** The arithmetic behind a conductor's figures, step by step, with the rows of the tables used. */
export function conductorWorking(facts: Pick<CircuitFacts, 'conductors'>, id: string): WorkingStep[] {
  const conductor = facts.conductors.find((candidate) => candidate.planned.id === id);
  if (!conductor) return [];
  const several = conductor.pieces.length > 1;
  return [
    ...conductor.pieces.map((piece, index) =>
      resistanceStep(conductor, piece, several ? ` of piece ${index + 1}` : ''),
    ),
    ...(several ? [sumStep(conductor)] : []),
    {
      what: 'Drop',
      sum: `${formatAmps(conductor.designA)} × ${milliohm(conductor.resistanceOhm)} = ${plainNumber(conductor.dropV, 3)} V`,
      source: 'Ohm’s law at design current',
    },
    ...conductor.pieces.map((piece, index) => ampacityStep(conductor, piece, several ? ` of piece ${index + 1}` : '')),
  ];
}

function resistanceStep({ family, areaMm2, size }: ConductorFacts, piece: ConductorPiece, which: string): WorkingStep {
  const { run, temperatureC, resistanceOhm } = piece;
  const warm = `${plainNumber(copperFactor(temperatureC), 4)} (${temperatureC} °C)`;
  const row = conductorSizes[family].find((candidate) => candidate.size === size);
  const start =
    family === 'awg'
      ? `${plainNumber(resistivityOhmM20C * 1e9, 3)} mΩ·mm²/m × ${warm} × ${plainNumber(run.lengthM, 3)} m ÷ ${areaMm2} mm²`
      : `${row?.ohmPerKm20C ?? ''} mΩ/m × ${warm} × ${plainNumber(run.lengthM, 3)} m`;
  return {
    what: `Resistance${which}`,
    sum: `${start} = ${milliohm(resistanceOhm)}`,
    source:
      family === 'awg'
        ? `Annealed copper, ρ·L/A; table row ${size}: ${areaMm2} mm²`
        : `IEC 60228 class 5, tinned; table row ${size}: ${row?.ohmPerKm20C ?? ''} Ω/km at 20 °C`,
  };
}

function sumStep({ pieces, resistanceOhm }: ConductorFacts): WorkingStep {
  return {
    what: 'Resistance',
    sum: `${pieces.map((piece) => plainNumber(piece.resistanceOhm * 1000, 2)).join(' + ')} = ${milliohm(resistanceOhm)}`,
    source: 'Pieces in series',
  };
}

function ampacityStep({ size }: ConductorFacts, { ampacity, run }: ConductorPiece, which: string): WorkingStep {
  const { engineSpaceFactor, bundlingFactor, tableA, columnC } = ampacity;
  const factors = [
    ...(engineSpaceFactor !== null && engineSpaceFactor < 1 ? [` × ${engineSpaceFactor} (engine space)`] : []),
    ...(bundlingFactor < 1 ? [` × ${bundlingFactor} (${run.bundled ?? 0} bundled)`] : []),
  ].join('');
  return {
    what: `Ampacity${which}`,
    sum:
      engineSpaceFactor === null
        ? `${columnC} °C insulation is not allowed in an engine space`
        : `${size} at ${columnC} °C: ${tableA} A${factors} = ${plainNumber(ampacity.amps, 1)} A`,
    source: `${ampacity.source}; row ${size}, column ${columnC} °C`,
  };
}

/** The arithmetic behind the circuit's own figures: drop, stalled pump, short, volts at the pump. */
export function circuitWorking(facts: CircuitFacts): WorkingStep[] {
  const { protection, designCurrentA, dropV, dropPercent, motor } = facts;
  const path = facts.conductors.filter(
    ({ planned, dropV: ownV }) => planned.duty !== 'light' && ownV > 0 && onPath(facts, planned.id),
  );
  const school = dropSchools[facts.dropSchool];
  const rated = facts.supplies.find((row) => row.supplyV === defaults.ratedSupplyV);
  const lockedOhm = defaults.ratedSupplyV / protection.lockedRotorA;
  return [
    {
      what: 'Drop in the conductors',
      sum: `${path.map((conductor) => plainNumber(conductor.dropV, 3)).join(' + ')} = ${plainNumber(dropV, 3)} V at ${formatAmps(designCurrentA)}; ÷ 12 V = ${formatPercent(dropPercent)} of ${school.percent} % allowed`,
      source: `${path.map(({ planned }) => planned.name.toLowerCase()).join(', ')}; ${school.source}`,
    },
    {
      what: 'Winding',
      sum:
        facts.circuit.pump.windingOhm === undefined
          ? `${motor.labelV} V ÷ (${defaults.lockedOverLabel} × ${formatAmps(motor.labelA)}) = ${formatOhms(motor.windingOhm)}`
          : `${formatOhms(motor.windingOhm)}, measured`,
      source: 'Motor model; a measured winding replaces the default',
    },
    {
      what: 'Stalled pump',
      sum: `12.0 V ÷ ${formatOhms(lockedOhm)} (winding, conductors, fuse, contacts, joints) = ${formatAmps(protection.lockedRotorA)}`,
      source: 'Network solved with the rotor locked',
    },
    {
      what: 'Short at the pump',
      sum: `12.0 V ÷ ${formatOhms(defaults.ratedSupplyV / protection.farShortA)} = ${formatAmps(protection.farShortA)}`,
      source: 'Network solved with the pump’s leads joined',
    },
    ...(rated
      ? [
          {
            what: 'At the pump from 12.0 V',
            sum: `${formatVolts(rated.pumpV)} at ${formatAmps(rated.pumpA)}: 12.00 V less conductors, fuse, contacts and joints at the pump’s own current`,
            source: 'Network solved with the motor model: I = I0·(0.15 + 0.85·s²), V = I·R + (V0 − I0·R)·s',
          },
        ]
      : []),
  ];
}

/** mΩ with two decimals: what is multiplied is what is shown. */
function milliohm(ohm: number): string {
  return `${plainNumber(ohm * 1000, 2)} mΩ`;
}

/** Whether a conductor is in the way of the current in the setting that drops most. */
function onPath(facts: CircuitFacts, id: string): boolean {
  const position = facts.dropSetting.switches[roles.switch];
  return !(id === 'manual' && position === 'auto') && !(id === 'auto' && position === 'manual');
}
