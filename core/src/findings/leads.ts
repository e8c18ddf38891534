import { defaults, dropSchools } from '../reference';
import { formatPercent, formatVolts } from '../units';
import type { RuleFamily } from './finding';

/** What the pump's own leads lose: no cable size can mend it. */
export const leadRules: RuleFamily = ({ leadsDropV, dropPercent, dropSchool, conductors }) => {
  const school = dropSchools[dropSchool];
  const leadsPercent = (100 * leadsDropV) / defaults.ratedSupplyV;
  const together = dropPercent + leadsPercent;
  if (leadsDropV === 0 || dropPercent > school.percent * (1 + 1e-9) || together <= school.percent * (1 + 1e-9))
    return [];
  return [
    {
      code: 'leads-drop',
      severity: 'caution',
      message: `The pump’s own leads lose ${formatVolts(leadsDropV)} (${formatPercent(leadsPercent)}), with the cable ${formatPercent(together)}; the ${school.name} allows ${school.percent} %. No cable size mends that: cut the leads shorter where the maker allows it, or ask for a pump with thicker ones.`,
      rule: `Drop of cable and leads together at most ${school.percent} % of 12 V.`,
      source: school.source,
      at: conductors.filter(({ planned }) => planned.duty === 'lead').map(({ planned }) => planned.id),
    },
  ];
};
