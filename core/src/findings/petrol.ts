import { cautions } from '../reference';
import type { Judgement, RuleFamily } from './finding';

/** What petrol or gas on board asks of everything in the space. */
export const petrolRules: RuleFamily = ({ petrol }) => fuelJudgements(petrol);

/** The same for a circuit without a pump. */
export function fuelJudgements(petrol: boolean): Judgement[] {
  return petrol
    ? [
        {
          code: 'ignition-protection',
          severity: 'caution',
          message: `Petrol or gas on board: pump, float, switch, fuse holder and every joint in that space must be marked ignition-protected. ${cautions.fuelVapour}`,
          rule: 'Electrical parts where vapour can gather are ignition-protected.',
          source: '33 CFR 183.410; ISO 8846',
        },
      ]
    : [];
}
