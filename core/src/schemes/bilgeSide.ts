import { findSize, minimumSize } from '../reference';
import { roles, type TerminalRef } from '../circuit';
import { at, piece } from './pieces';
import type { ExistingLink, PlannedConductor, PlanPiece, SurveyedCircuit } from './plan';
import { autoRun, leadRun, legRun } from './runs';
import { plannedJoint, pumpPart } from './standardParts';

/** Leads up to this length may be under the least size. Source: ABYC E-11 (7 in). */
const SHORT_LEAD_M = 0.178;

/** Where a pump's leads are joined. */
export interface PumpEnds {
  readonly plus: TerminalRef;
  readonly minus: TerminalRef;
  /** Of a pump that starts by itself: its auto lead, and what is inside. */
  readonly auto?: { readonly from: TerminalRef; readonly sensing: 'float' | 'timer' };
}

/** The pump with its own leads, each to its joint. */
export function pumpAt(circuit: SurveyedCircuit, { plus, minus, auto }: PumpEnds): PlanPiece {
  const leads: Lead[] = [
    { id: 'pump-lead-plus', name: 'Pump lead, positive', from: plus, to: at('pump', 'plus') },
    ...(auto ? [{ id: 'pump-lead-auto', name: 'Pump lead, auto', from: auto.from, to: at('pump', 'auto') }] : []),
    { id: 'pump-lead-minus', name: 'Pump lead, negative', from: at('pump', 'minus'), to: minus },
  ];
  const given = circuit.pump.leads !== undefined;
  return piece(
    [{ part: pumpPart(circuit.pump, auto?.sensing), name: 'Pump', band: 'bilge', role: 'supply' }],
    given ? sizedLeads(circuit, leads) : [],
    given ? [] : leads,
  );
}

/** The joint on the negative side and the conductor back to the bus. */
export function negativeBack(circuit: SurveyedCircuit, ways: readonly string[], name: string): PlanPiece {
  return piece(
    [plannedJoint('joint-negative', [...ways, 'cable'], name, 'supply')],
    [
      {
        id: 'negative',
        name: 'Negative',
        from: at('joint-negative', 'cable'),
        to: at('bus', 'stud'),
        role: 'negative',
        colour: { base: 'black' },
        ...legRun(circuit, 'bilgeToNegative'),
      },
    ],
  );
}

/** The manual conductor, from the panel to the bilge. */
export function manualConductor(
  circuit: SurveyedCircuit,
  from: TerminalRef,
  to: TerminalRef,
  name = 'Manual positive',
): PlannedConductor {
  return {
    id: 'manual',
    name,
    from,
    to,
    role: 'manual',
    colour: { base: 'brown' },
    behind: roles.manualFuse,
    ...legRun(circuit, 'panelToBilge'),
  };
}

/** The auto conductor, from the panel to the bilge. */
export function autoConductor(circuit: SurveyedCircuit, from: TerminalRef, to: TerminalRef): PlannedConductor {
  return {
    id: 'auto',
    name: 'Auto positive',
    from,
    to,
    role: 'auto',
    colour: { base: 'brown', stripe: 'white' },
    behind: roles.autoFuse,
    ...autoRun(circuit),
  };
}

type Lead = ExistingLink & { readonly name: string };

function sizedLeads(circuit: SurveyedCircuit, leads: readonly Lead[]): PlannedConductor[] {
  const given = circuit.pump.leads;
  if (!given) return [];
  const family = findSize(given.size)?.family ?? 'awg';
  return leads.map(({ id, name, from, to }) => ({
    id,
    name,
    from,
    to,
    role: id === 'pump-lead-minus' ? 'negative' : id === 'pump-lead-auto' ? 'auto' : 'supply',
    colour: { base: id === 'pump-lead-minus' ? 'black' : 'brown' },
    givenSize: given.size,
    ...(given.lengthM <= SHORT_LEAD_M * (1 + 1e-9)
      ? { underLeastBecause: `Leads of a part up to 178 mm may be under ${minimumSize[family]}.` }
      : {}),
    ...leadRun(circuit, given.lengthM),
  }));
}
