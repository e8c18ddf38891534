import {
  behaviourOf,
  codesOf,
  conductorOf,
  factsOf,
  find,
  ideasOf,
  plainCircuit,
  protectionOf,
  rowOf,
} from './facts.fixture';
import { conductorRules, leadRules, stepDownRules, tapRules, wiredAsOf, wiringRules } from './said.fixture';

// Where a rule concerns several things: which of them it names, with whose figure, and what it leaves out.

describe('several conductors', () => {
  const pieces = (...engineSpaces: boolean[]) =>
    engineSpaces.flatMap((engineSpace) => conductorOf('feed', { size: '4 mm²', insulationC: 60, engineSpace }).pieces);

  it('are forbidden by one piece of them', () => {
    const mixed = { ...conductorOf('feed', { size: '4 mm²', insulationC: 60 }), pieces: pieces(false, true) };
    const facts = factsOf({ conductors: [mixed, conductorOf('auto')], family: 'metric' });
    expect(find(conductorRules(facts), 'insulation-forbidden-in-engine-space')?.at).toEqual(['feed']);
    const noSize = { largest: '70 mm²', limit: 'ampacity', neededFactor: null } as const;
    const told = find(conductorRules({ ...facts, noSize }), 'no-size-satisfies');
    expect(told?.message).toContain('in the mm² table');
    expect(ideasOf(told)).toEqual(['Use 105 °C cable for this leg']);
    expect(ideasOf(find(conductorRules(factsOf({ noSize })), 'no-size-satisfies'))).toEqual([]);
    expect(find(conductorRules(factsOf({ noSize })), 'no-size-satisfies')?.message).toContain('in the AWG table');
  });

  it('that carry too much go back to what was proposed where all of them were chosen', () => {
    const over = (id: string, overridden: boolean) =>
      conductorOf(id, { overridden, designA: 40, proposedSize: '8 AWG' });
    const told = (...chosen: boolean[]) =>
      find(
        conductorRules(factsOf({ conductors: chosen.map((one, index) => over(`c${index}`, one)) })),
        'ampacity-below-current',
      )?.message;
    expect(told(true, true)).toContain('Use 8 AWG.');
    expect(told(true, false)).toContain('Use a larger size');
    expect(told(true)).toContain('14 AWG may carry 35\u00a0A, and');
    const hot = conductorOf('feed', { designA: 40, engineSpace: true });
    expect(find(conductorRules(factsOf({ conductors: [hot] })), 'ampacity-below-current')?.message).toContain(
      'in an engine space, and',
    );
  });

  it('under the least size are told by the rules chosen, and those in a sheath by what is outside it', () => {
    const thin = (size: string, unsheathedM?: number) =>
      conductorOf('auto', { size, ...(unsheathedM === undefined ? {} : { planned: { unsheathedM } }) });
    const told = (conductor: ReturnType<typeof thin>, circuit = plainCircuit()) =>
      find(conductorRules(factsOf({ circuit, conductors: [conductor] })), 'below-minimum-size');
    expect(told(thin('18 AWG'))?.source).toBe('ABYC E-11; ISO 13297');
    expect(told(thin('18 AWG'), plainCircuit({ choices: { rules: 'iso' } }))?.source).not.toContain('ABYC');
    expect(told(thin('18 AWG', 0.5))).toBeUndefined();
    expect(told(thin('18 AWG', 0.7625))?.message).toContain('outside the sheath');
    expect(told(thin('0.75 mm²', 0))).toBeUndefined();
  });

  it('step down from every one of the largest, reaching the bilge as cable', () => {
    const circuit = plainCircuit({ pump: { currentA: 5, leads: { lengthM: 0.2, size: '16 AWG' } } });
    const big = (id: string, planned = {}) => conductorOf(id, { size: '8 AWG', planned });
    const told = stepDownRules(
      factsOf({
        circuit,
        conductors: [
          conductorOf('auto', { size: '12 AWG' }),
          big('manual'),
          big('negative', { leg: 'bilgeToNegative' }),
          conductorOf('light', { size: '4 AWG', planned: { duty: 'light' } }),
          conductorOf('feed', { size: '4 AWG', planned: { leg: 'sourceToPanel' } }),
        ],
      }),
    );
    expect(told[0]?.at).toEqual(['manual', 'negative']);
    expect(told[0]?.message).toContain('8 AWG meets the pump’s leads (16 AWG)');
    expect(stepDownRules(factsOf({ conductors: [big('manual')] }))).toEqual([]);
  });

  it('too large for any barrel are told without leads, and with what they meet where there are', () => {
    const huge = conductorOf('manual', { size: '2 AWG' });
    const told = (circuit = plainCircuit()) => stepDownRules(factsOf({ circuit, conductors: [huge] }))[0]?.message;
    expect(told()).toMatch(/^2 AWG is larger than any butt barrel takes \([^)]*\): joining/);
    expect(told(plainCircuit({ floatLead: '16 AWG' }))).toContain(' and meets the float’s leads (16 AWG): joining');
  });

  it('cost drop where no flow is known, and litres where both are', () => {
    const facts = (flowLPerH: number | null, presentFlowLPerH: number | null) =>
      stepDownRules(
        factsOf({
          conductors: [conductorOf('manual', { size: '2 AWG' })],
          smallerSize: { size: '4 AWG', dropPercent: 3.2, flowLPerH, presentFlowLPerH },
        }),
      )[0]?.message;
    expect(facts(null, null)).toContain('4 AWG instead would cost a drop of 3.2\u00a0% instead of 2.5\u00a0%');
    expect(facts(1900, null)).toContain('a drop of 3.2');
    expect(facts(1900, 2000)).toContain('100\u00a0L/h of 2000\u00a0L/h, at a drop of 3.2');
  });

  it('of which leads lose much are leads alone', () => {
    const conductors = [conductorOf('feed'), conductorOf('pump-lead-plus', { planned: { duty: 'lead' } })];
    const told = leadRules(factsOf({ conductors, leadsDropV: 0.2 }));
    expect(told).toMatchObject([{ code: 'leads-drop', at: ['pump-lead-plus'] }]);
    expect(leadRules(factsOf({ conductors, leadsDropV: 0, dropPercent: 3 }))).toEqual([]);
  });

  it('that tap without protection are told behind the panel or as cable', () => {
    const tap = (leg: 'panel' | 'sourceToPanel') => ({
      conductor: conductorOf('light-tap', {
        size: '18 AWG',
        planned: { leg, duty: 'light', lengthM: leg === 'panel' ? 0.1 : 3 },
      }),
      ratingA: 40,
    });
    const told = (leg: 'panel' | 'sourceToPanel') =>
      tapRules(factsOf({ protection: protectionOf({ taps: [tap(leg)] }) }))[0]?.message;
    expect(told('panel')).toContain('18 AWG, 100\u00a0mm behind the panel');
    expect(told('sourceToPanel')).toContain('18 AWG, 3\u00a0m of cable');
  });

  it('are overloaded as found in the setting that loads them most', () => {
    const circuit = plainCircuit({ rewired: { removed: ['x'] } });
    const rows = [
      rowOf({ switch: 'manual', float: 'up', amps: { feed: 60 } }),
      rowOf({ switch: 'auto', float: 'down', amps: { feed: 50 } }),
    ];
    const told = wiringRules(
      factsOf({ circuit, conductors: [conductorOf('feed')], behaviour: behaviourOf(circuit, { rows }) }),
    );
    expect(told[0]?.message).toContain('carries 60');
    expect(told[0]?.message).toContain('the switch on manual and the float up');
    // Nothing different in words is nothing to say.
    expect(codesOf(told)).toEqual(['overloaded-as-found']);
  });
});

describe('statements on record', () => {
  const tap = { conductor: conductorOf('light-tap', { size: '18 AWG' }), ratingA: 40 };
  const said = (more: Parameters<typeof factsOf>[0]) => wiredAsOf(factsOf(more)).map(({ code }) => code);
  const accepted = plainCircuit({ panel: { tapAccepted: true } });

  it('of a tap stand where there is one to accept and somebody did', () => {
    const bare = { protection: protectionOf({ taps: [tap] }) };
    expect(said({ ...bare, circuit: accepted })).toContain('tap-accepted');
    expect(said({ circuit: accepted })).not.toContain('tap-accepted');
    expect(said(bare)).not.toContain('tap-accepted');
    const text = wiredAsOf(factsOf({ ...bare, circuit: accepted })).find(({ code }) => code === 'tap-accepted');
    expect(text?.beforeWork).toBe(false);
  });

  it('of thin conductors stand for those that may be, and for no thick one', () => {
    const thick = conductorOf('auto', { planned: { underLeastBecause: 'It may.' } });
    const thin = conductorOf('auto', { size: '18 AWG' });
    expect(said({ conductors: [thick] })).not.toContain('under-least-size-allowed');
    expect(said({ conductors: [thin] })).not.toContain('under-least-size-allowed');
  });
});
