import { awgAmpacity, bundlingFactors, metricAmpacity, type AmpacityTable, type CableFamily } from '../reference';

export const ampacityTables: Readonly<Record<CableFamily, AmpacityTable>> = {
  awg: awgAmpacity,
  metric: metricAmpacity,
};

export interface AmpacityConditions {
  readonly size: string;
  readonly family: CableFamily;
  /** Insulation rating, °C, 60 or more; between columns the next lower column counts. */
  readonly insulationC: number;
  readonly engineSpace: boolean;
  /** Current-carrying conductors bundled together; left out = no bundling factor. */
  readonly bundled?: number;
}

export interface Ampacity {
  /** Corrected amperes; 0 where this insulation is not allowed in an engine space. */
  readonly amps: number;
  readonly tableA: number;
  readonly columnC: number;
  readonly engineSpaceFactor: number | null;
  readonly bundlingFactor: number;
  readonly source: string;
}

/**
 * Continuous current a conductor may carry, A.
 * @throws RangeError for a size outside the family's table or insulation below its lowest column.
 */
export function ampacity(conditions: AmpacityConditions): Ampacity {
  const table = ampacityTables[conditions.family];
  const column = columnOf(table, conditions.insulationC);
  const tableA = table.amps[conditions.size]?.[column];
  const columnC = table.insulationC[column];
  if (tableA === undefined || columnC === undefined) {
    throw new RangeError(
      `No ampacity for ${conditions.size} at ${conditions.insulationC} °C in the ${conditions.family} table.`,
    );
  }
  const engineSpaceFactor = conditions.engineSpace ? (table.engineSpaceFactor[column] ?? null) : 1;
  const bundlingFactor = conditions.bundled === undefined ? 1 : bundlingFactorFor(conditions.bundled);
  return {
    amps: engineSpaceFactor === null ? 0 : tableA * engineSpaceFactor * bundlingFactor,
    tableA,
    columnC,
    engineSpaceFactor,
    bundlingFactor,
    source: table.source,
  };
}

function columnOf(table: AmpacityTable, insulationC: number): number {
  return table.insulationC.reduce((best, rating, index) => (rating <= insulationC ? index : best), -1);
}

function bundlingFactorFor(conductors: number): number {
  return bundlingFactors.find((row) => conductors <= row.upTo)?.factor ?? 1;
}
