import {
  everySetting,
  faultCodes,
  faultOf,
  truthRow,
  nodeNames,
  solve,
  spiceText,
  terminalName,
  withFaults,
  type Netlist,
  type PlantedFault,
  type Setting,
} from '../circuit';
import { ngspiceAlone, ngspicePoints, type NodeVolts } from '../../testing/ngspice.fixture';
import { someOf } from '../../testing/runs.fixture';
import { schemeKeys } from './keys';
import { plainNetlist, planFor, surveyedCircuit } from './schemes.fixture';

/** Every scheme as it is mostly built, and with all that can be added. */
const circuits = schemeKeys.flatMap((scheme) => [
  { name: scheme, netlist: plainNetlist(planFor(surveyedCircuit(scheme))) },
  {
    name: `${scheme}, everything added`,
    netlist: plainNetlist(
      planFor(
        surveyedCircuit(scheme, {
          panel: {
            light: 'led',
            armedLight: 'filament',
            tapFuseA: 1,
            legFuses: { kind: 'blade', manualA: 5, autoA: 7.5 },
          },
          relay: { suppression: scheme === 'relay' ? 'resistor' : 'diode' },
        }),
        { others: 1, alarmAlso: true },
      ),
    ),
  },
  {
    name: `${scheme}, light from post to post`,
    netlist: plainNetlist(
      planFor(surveyedCircuit(scheme, { panel: { light: 'filament', lightWired: 'auto-to-manual' } })),
    ),
  },
]);

interface Case {
  readonly name: string;
  readonly circuit: string;
  readonly fault: string;
  readonly netlist: Netlist;
  readonly setting: Setting;
}

/** No fault, and each kind of fault at its first, middle and last place. */
function faultsOn(netlist: Netlist): PlantedFault[][] {
  const single = faultCodes.flatMap((code) => {
    const sites = faultOf(code).sites(netlist);
    const chosen = new Set([sites[0], sites[Math.floor(sites.length / 2)], sites[sites.length - 1]]);
    return [...chosen].flatMap((site) => (site ? [[{ code, at: site.id }]] : []));
  });
  return [[], ...single];
}

const cases: Case[] = circuits.flatMap(({ name, netlist }) =>
  faultsOn(netlist).flatMap((faults) => {
    const faulty = withFaults(netlist, faults);
    return everySetting(netlist).map((setting) => ({
      circuit: name,
      fault: faults[0]?.code ?? 'none',
      name: `${name}, ${faults.map(({ code, at }) => `${code} ${at}`).join()}, ${JSON.stringify(setting)}`,
      netlist: faulty,
      setting,
    }));
  }),
);

/** The greatest miss of the solver beside ngspice, as a share of what is allowed: 0.1 % or 1 mV. */
function worstMiss({ netlist, setting }: Case, reference: NodeVolts): { readonly at: string; readonly share: number } {
  const point = solve(netlist, setting);
  const latched = new Set(netlist.parts.filter(({ id }) => point.latched(id)).map(({ id }) => id));
  let worst = { at: '', share: 0 };
  for (const [terminal, node] of nodeNames(netlist, setting, latched).terminals) {
    const theirs = node === '0' ? 0 : reference.get(node);
    if (theirs === undefined) continue;
    const dot = terminal.lastIndexOf('.');
    const ours = point.voltsAt({ part: terminal.slice(0, dot), terminal: terminal.slice(dot + 1) });
    const share = Math.abs(ours - theirs) / Math.max(1e-3, 1e-3 * Math.abs(theirs));
    if (share > worst.share) worst = { at: terminal, share };
  }
  return worst;
}

describe('beside ngspice', () => {
  it('every scheme, in its settings and with every kind of fault, all or an even share, has the same volts at every node', () => {
    expect(cases.length).toBeGreaterThan(5000);
    const asked = someOf(cases);
    for (const by of ['circuit', 'fault'] as const)
      expect(new Set(asked.map((one) => one[by]))).toEqual(new Set(cases.map((one) => one[by])));
    const rest = asked.filter(({ netlist, setting }) => truthRow(netlist, setting).trouble === null);
    // A weak or shorted feed lets electronics and relays chatter: ngspice has no answer to that, and neither has this.
    expect(asked.length - rest.length).toBeLessThan(asked.length / 50);
    const points = ngspicePoints(rest.map(({ netlist, setting, name }) => spiceText(netlist, setting, name)));
    const misses = rest.map((one, index) => ({ ...worstMiss(one, points[index] ?? new Map()), name: one.name }));
    expect(misses.filter(({ share }) => share > 1).map(({ name, at, share }) => `${name}: ${at} ${share}`)).toEqual([]);
    expect(rest.length).toBeGreaterThan(100);
  }, 120_000);

  it('conductors carry the same amperes', () => {
    const sound = cases.filter(({ name }) => name.includes(', ,'));
    const points = ngspicePoints(sound.map(({ netlist, setting, name }) => spiceText(netlist, setting, name)));
    sound.forEach(({ netlist, setting, name }, index) => {
      const point = solve(netlist, setting);
      const latched = new Set(netlist.parts.filter(({ id }) => point.latched(id)).map(({ id }) => id));
      const names = nodeNames(netlist, setting, latched);
      const volts = (node: string) => points[index]?.get(node) ?? 0;
      for (const { id, from, to, ohm } of netlist.conductors) {
        if (ohm === 0) continue;
        const theirs = (volts(names.nameAt(from)) - volts(names.nameAt(to))) / ohm;
        const miss = Math.abs(point.conductorA(id) - theirs);
        if (miss > Math.max(1e-3, 1e-3 * Math.abs(theirs))) throw new Error(`${name}: ${id} by ${miss} A`);
      }
    });
    expect(sound.length).toBeGreaterThan(100);
  }, 60_000);

  it('takes the text of a deck as it is, in batch mode', () => {
    const netlist = plainNetlist(planFor(surveyedCircuit('relay', { panel: { light: 'led' } })));
    const setting: Setting = { switches: { switch: 'auto' }, floats: { float: 'up' } };
    const { status, output } = ngspiceAlone(spiceText(netlist, setting, 'Relay on “auto”'));
    expect(status).toBe(0);
    const [, pump] = /^\s*pump_plus\s+(\S+)/m.exec(output) ?? [];
    const point = solve(netlist, setting);
    const mine = point.voltsAt({ part: 'pump', terminal: 'plus' });
    const named = nodeNames(netlist, setting, new Set(['relay'])).terminals.get(
      terminalName({ part: 'pump', terminal: 'plus' }),
    );
    const [, shared] = new RegExp(`^\\s*${named ?? ''}\\s+(\\S+)`, 'm').exec(output) ?? [];
    expect(Number(pump ?? shared)).toBeCloseTo(mine, 4);
  });
});
