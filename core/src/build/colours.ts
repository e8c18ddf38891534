import type { CableColour } from '../job';
import { colourInWords, type ConductorColour, type PlannedConductor } from '../schemes';

/** What becomes of a conductor whose insulation is of another colour than planned. */
export interface ColourVerdict {
  /** True where it says something false and is not banded. */
  readonly lies: boolean;
  /** Why, and what to do. */
  readonly message: string;
  /** Tape of this colour goes round both ends; null where the colour is as planned. */
  readonly band: ConductorColour | null;
  /** What the record says. */
  readonly record: string;
}

/** Why a colour says something false of what the conductor does, or null. Source: ABYC E-11 colour code; ISO 10133. */
function falsehood(colour: ConductorColour, role: PlannedConductor['role']): string | null {
  const { base, stripe } = colour;
  if (base === 'green') return 'Green is bonding: nothing that carries a pump’s current may look like it.';
  if (role === 'negative') {
    return base === 'red' || base === 'brown' || base === 'orange'
      ? `${capital(base)} is a positive: whoever works here later takes it for live, or joins it to one.`
      : null;
  }
  if (base === 'black' || base === 'yellow')
    return `${capital(base)} is a negative: a positive in it is joined to the bus by the next hand, and burns.`;
  if (base === 'brown' && stripe === 'yellow')
    return 'Brown with yellow is the blower’s where the negative is yellow: take another stripe.';
  return null;
}

const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);

const same = (one: ConductorColour, other: ConductorColour) => one.base === other.base && one.stripe === other.stripe;

/**
 * Whether insulation of another colour may be taken. Any colour on board may, but for one that lies: that only with
 * bands of the planned colour at both ends.
 */
export function judgeColour(
  { name, role, colour: planned }: Pick<PlannedConductor, 'name' | 'role' | 'colour'>,
  taken: CableColour,
): ColourVerdict {
  const colour: ConductorColour =
    taken.stripe === undefined ? { base: taken.base } : { base: taken.base, stripe: taken.stripe };
  if (same(planned, colour)) return { lies: false, message: 'As planned.', band: null, record: '' };
  const false_ = falsehood(colour, role);
  const record = `${name}: ${colourInWords(colour)} in place of ${colourInWords(planned)}${taken.banded ? ', banded at both ends' : ''}.`;
  const tape = `Tape of ${colourInWords(planned)} round both ends and at each bulkhead, and the label.`;
  if (false_ === null) return { lies: false, message: tape, band: planned, record };
  return taken.banded
    ? { lies: false, message: `${false_} Banded it may stay. ${tape}`, band: planned, record }
    : {
        lies: true,
        message: `${false_} Take another cable, or band it along its length where it can be seen.`,
        band: planned,
        record,
      };
}
