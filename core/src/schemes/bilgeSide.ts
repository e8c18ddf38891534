import { findSize, minimumSize } from '../reference';
import type { TerminalRef } from '../circuit';
import type { ExistingLink, PlannedConductor, SurveyedCircuit } from './plan';
import { leadRun, legRun } from './runs';
import type { PlanPiece } from './supplySide';
import { jointPart, pumpPart } from './standardParts';

/** Leads up to this length may be under the least size. Source: ABYC E-11 (7 in). */
const SHORT_LEAD_M = 0.178;

/**
 * The pump, its own leads, the joint on its negative and the conductor back to
 * the bus. The scheme brings the positive as far as `positive`, a joint's way.
 */
export function pumpAndNegative(circuit: SurveyedCircuit, positive: TerminalRef): PlanPiece {
  const leads = [
    { id: 'pump-lead-plus', name: 'Pump lead, positive', from: positive, to: { part: 'pump', terminal: 'plus' } },
    {
      id: 'pump-lead-minus',
      name: 'Pump lead, negative',
      from: { part: 'pump', terminal: 'minus' },
      to: { part: 'joint-negative', terminal: 'pump' },
    },
  ];
  return {
    parts: [
      { part: pumpPart(circuit.pump), name: 'Pump', band: 'bilge', role: 'supply' },
      { part: jointPart('joint-negative', ['pump', 'cable']), name: 'J3', band: 'bilge', role: 'supply' },
    ],
    conductors: [
      ...sizedLeads(circuit, leads),
      {
        id: 'negative',
        name: 'Negative',
        from: { part: 'joint-negative', terminal: 'cable' },
        to: { part: 'bus', terminal: 'stud' },
        role: 'negative',
        colour: { base: 'black' },
        ...legRun(circuit, 'bilgeToNegative'),
      },
    ],
    existing: circuit.pump.leads ? [] : leads,
  };
}

type Lead = ExistingLink & { readonly name: string };

function sizedLeads(circuit: SurveyedCircuit, leads: readonly Lead[]): PlannedConductor[] {
  const given = circuit.pump.leads;
  if (!given) return [];
  const family = findSize(given.size)?.family ?? 'awg';
  return leads.map((lead, index) => ({
    ...lead,
    role: index === 0 ? 'supply' : 'negative',
    colour: { base: index === 0 ? 'brown' : 'black' },
    givenSize: given.size,
    ...(given.lengthM <= SHORT_LEAD_M * (1 + 1e-9)
      ? { underLeastBecause: `Leads of a part up to 178 mm may be under ${minimumSize[family]}.` }
      : {}),
    ...leadRun(circuit, given.lengthM),
  }));
}
