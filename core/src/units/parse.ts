import { fromUnit, quantities, shownUnit, type Quantity, type QuantityKey, type UnitSystem } from './quantity';

export type Parsed = { readonly ok: true; readonly base: number } | { readonly ok: false; readonly message: string };

const NUMBER_WITH_UNIT = /^([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:e[+-]?\d+)?)\s*(.*)$/i;

/**
 * Reads what was typed into a field of the given quantity: a number with a point
 * or a comma, and optionally a unit of either system ("12 ft", "3,6", "800 gph").
 * Without a unit the system's own unit is meant.
 * @returns the value in the base unit, or a message that says what to type instead.
 */
export function parseQuantity(text: string, key: QuantityKey, system: UnitSystem): Parsed {
  const quantity: Quantity = quantities[key];
  const own = shownUnit(key, system);
  const match = NUMBER_WITH_UNIT.exec(text.trim());
  const accepted = quantity.units.map((unit) => unit.symbol).join(', ');
  if (!match)
    return { ok: false, message: `Type a number in ${own.symbol}, such as "3.5". Units understood: ${accepted}.` };
  const [, digits = '', suffix = ''] = match;
  const shown = Number(digits.replace(',', '.'));
  if (!Number.isFinite(shown)) return { ok: false, message: `"${digits}" is too large to be a ${quantity.name}.` };
  const wanted = suffix.trim().toLowerCase();
  const unit =
    wanted === ''
      ? own
      : quantity.units.find(
          (candidate) => candidate.symbol.toLowerCase() === wanted || candidate.spellings.includes(wanted),
        );
  if (!unit)
    return { ok: false, message: `"${suffix.trim()}" is not a unit of ${quantity.name} here. Use ${accepted}.` };
  return { ok: true, base: fromUnit(shown, unit) };
}
