import {
  fromUnit,
  quantities,
  shownUnit,
  type Quantity,
  type QuantityKey,
  type Unit,
  type UnitSystem,
} from './quantity';

export type Parsed = { readonly ok: true; readonly base: number } | { readonly ok: false; readonly message: string };

/** "3.6", "3,6", "1e3", "3/4", "1 3/4", "1-3/4". */
const NUMBER = String.raw`\d+[\s-]+\d+\s*\/\s*\d+|\d+\s*\/\s*\d+|(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:e[+-]?\d+)?`;
const NUMBER_WITH_UNIT = new RegExp(`^([+-]?)(${NUMBER})\\s*(.*)$`, 'i');
/** "5 ft 6 in", "5' 6 1/2"". */
const FEET_AND_INCHES = new RegExp(`^(ft|feet|foot|')\\s*(${NUMBER})\\s*(in|inch|inches|")$`, 'i');
const WRITTEN_FRACTIONS: Readonly<Record<string, string>> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/**
 * Reads what was typed into a field of the given quantity: a number with a point
 * or a comma, or a fraction, and optionally a unit of either system ("12 ft", "3,6",
 * "1 3/4 in", "5 ft 6 in", "800 gph"). Without a unit the system's own unit is meant.
 * @returns the value in the base unit, or a message that says what to type instead.
 */
export function parseQuantity(text: string, key: QuantityKey, system: UnitSystem): Parsed {
  const quantity: Quantity = quantities[key];
  const own = shownUnit(key, system);
  const match = NUMBER_WITH_UNIT.exec(plainly(text));
  const accepted = quantity.units.map((unit) => unit.symbol).join(', ');
  if (!match)
    return { ok: false, message: `Type a number in ${own.symbol}, such as "3.5". Units understood: ${accepted}.` };
  const [, sign = '', digits = '', suffix = ''] = match;
  const signed = sign === '-' ? -1 : 1;
  const shown = numberOf(digits);
  if (!Number.isFinite(shown)) return notFinite(digits, quantity);
  const wanted = suffix.trim();
  const unit = wanted === '' ? own : unitNamed(quantity, wanted);
  if (unit) return { ok: true, base: fromUnit(signed * shown, unit) };
  const [feet, inches] = [unitNamed(quantity, 'ft'), unitNamed(quantity, 'in')];
  const [, , further] = FEET_AND_INCHES.exec(wanted) ?? [];
  if (!feet || !inches || further === undefined)
    return { ok: false, message: `"${wanted}" is not a unit of ${quantity.name} here. Use ${accepted}.` };
  const more = numberOf(further);
  if (!Number.isFinite(more)) return notFinite(further, quantity);
  return { ok: true, base: signed * (fromUnit(shown, feet) + fromUnit(more, inches)) };
}

/** The same with plain signs: what phones and keyboards put in their place is taken alike. */
function plainly(text: string): string {
  return text
    .replace(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (written) => ` ${WRITTEN_FRACTIONS[written] ?? written}`)
    .replace(/[’′]/g, "'")
    .replace(/[”″]/g, '"')
    .replace(/⁄/g, '/')
    .replace(/[−–]/g, '-')
    .trim();
}

/** A number as written; infinite where it is too large, or a fraction of nothing. */
function numberOf(written: string): number {
  const [, whole = '0', over, under] = /^(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)$/.exec(written) ?? [];
  if (over !== undefined && under !== undefined)
    return Number(under) === 0 ? Infinity : Number(whole) + Number(over) / Number(under);
  return Number(written.replace(',', '.'));
}

function notFinite(written: string, quantity: Quantity): Parsed {
  return {
    ok: false,
    message: written.includes('/')
      ? `"${written}" is no fraction: below the stroke stands a number above 0, such as "3/4".`
      : `"${written}" is too large to be a ${quantity.name}.`,
  };
}

function unitNamed({ units }: Quantity, name: string): Unit | undefined {
  const wanted = name.toLowerCase();
  return units.find(({ symbol, spellings }) => symbol.toLowerCase() === wanted || spellings.includes(wanted));
}
