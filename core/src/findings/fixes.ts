import { roles } from '../circuit';
import { mapLegs, type Choices, type Circuit, type Leg } from '../job';
import type { CircuitFacts, ConductorFacts, DeviceFacts } from './facts';
import type { FixIdea } from './finding';
import {
  defaults,
  maxMultipleOfAmpacity,
  protectionFamilies,
  ratingOverRunning,
  type ProtectionKind,
} from '../reference';
import { aRating, formatQuantity, type UnitSystem } from '../units';

/** Going back to the proposed size of every conductor given that has another; nothing where none has. */
export function useProposedSizesOf(circuit: Circuit, conductors: readonly ConductorFacts[]): FixIdea | undefined {
  const changed = conductors.filter((conductor) => conductor.overridden && conductor.size !== conductor.proposedSize);
  const [first] = changed;
  if (!first) return undefined;
  const ids = new Set(changed.map(({ planned }) => planned.id));
  const left = Object.entries(circuit.choices?.conductors ?? {}).filter(([id]) => !ids.has(id));
  return {
    label: `Use ${first.proposedSize} ${changed.length === 1 ? `for the ${first.planned.name.toLowerCase()}` : 'throughout'}`,
    circuit: withChoices(circuit, { conductors: Object.fromEntries(left) }),
  };
}

type Fused = Pick<CircuitFacts, 'circuit' | 'protection' | 'fedA' | 'sharedFeed'>;

/** Going back from a chosen fuse to the proposed one; nothing where there is none, it is the same, or it is another circuit's. */
export function useProposedRating({ circuit, protection, sharedFeed }: Fused): FixIdea | undefined {
  const { proposed } = protection;
  if (!proposed || !protection.overridden || sharedFeed) return undefined;
  if (proposed.kind === protection.kind && proposed.ratingA === protection.ratingA) return undefined;
  const { ratingA: _dropped, ...rest } = circuit.choices?.protection ?? {};
  return {
    label: `Use the ${proposed.ratingA} A ${protectionFamilies[proposed.kind].name}`,
    circuit: withChoices(circuit, { protection: rest }),
  };
}

/** A smaller standard rating that still carries the current: each one down to it, largest first. */
export function useSmallerRating({ circuit, protection, fedA, sharedFeed }: Fused): FixIdea[] {
  if (sharedFeed) return [];
  const { kind } = protection;
  return protectionFamilies[kind].ratingsA
    .filter((ratingA) => ratingA < protection.ratingA && ratingA >= fedA)
    .reverse()
    .map((ratingA) => ({
      label: `Use ${aRating(ratingA)} ${protectionFamilies[kind].name}`,
      circuit: withChoices(circuit, { protection: { kind, ratingA } }),
    }));
}

/** The next larger ratings of a device, as far as the pump's maker and the cable behind it allow. */
export function useLargerDevice(facts: CircuitFacts, { id, kind, ratingA: presentA }: DeviceFacts): FixIdea[] {
  const { circuit, protection } = facts;
  const { makerFuseA = Infinity } = circuit.pump;
  const { conductor } = protection.leastProtected;
  const mostA = Math.min(makerFuseA, conductor.ampacity.amps * maxMultipleOfAmpacity);
  const larger = protectionFamilies[kind].ratingsA.filter((rating) => rating > presentA && rating <= mostA);
  const label = (ratingA: number) => `Use ${aRating(ratingA)} ${protectionFamilies[kind].name}`;
  return larger.slice(0, 2).flatMap((ratingA): FixIdea[] => {
    switch (id) {
      case roles.fuse:
        return [{ label: label(ratingA), circuit: withChoices(circuit, { protection: { kind, ratingA } }) }];
      case roles.panelFuse:
        return [
          {
            label: `${label(ratingA)} at the panel`,
            circuit: { ...circuit, panel: { ...circuit.panel, fuse: { kind, ratingA } } },
          },
        ];
      case roles.mainFuse:
        return [
          {
            label: `${label(ratingA)} at the battery`,
            circuit: { ...circuit, source: { ...circuit.source, mainFuse: { kind, ratingA } } },
          },
        ];
      default:
        return [];
    }
  });
}

/** The same or the nearest rating in another family. */
export function useFamily(circuit: Circuit, kind: ProtectionKind, runningA: number): FixIdea[] {
  const ratingA = protectionFamilies[kind].ratingsA.find((rating) => rating >= runningA * ratingOverRunning);
  if (ratingA === undefined) return [];
  return [
    {
      label: `Use ${aRating(ratingA)} ${protectionFamilies[kind].name}`,
      circuit: withChoices(circuit, { protection: { kind, ratingA } }),
    },
  ];
}

/** A fuse for this pump alone, in the panel, behind whatever larger one stands before it. */
export function addPanelFuse({ circuit, designCurrentA }: Pick<CircuitFacts, 'circuit' | 'designCurrentA'>): FixIdea[] {
  const { makerFuseA = Infinity } = circuit.pump;
  const ratings = protectionFamilies.blade.ratingsA.filter(
    (ratingA) => ratingA >= designCurrentA && ratingA <= makerFuseA,
  );
  const ratingA = ratings.find((rating) => rating >= designCurrentA * ratingOverRunning) ?? ratings[ratings.length - 1];
  if (ratingA === undefined || circuit.panel?.fuse) return [];
  const fuse = { kind: 'blade', ratingA } as const;
  return [
    {
      label: `Give it its own ${ratingA} A fuse`,
      circuit: { ...circuit, panel: { ...circuit.panel, fuse } },
    },
  ];
}

/** The fuse moved close to its source; failing that the stub in a sheath. */
export function moveFuse(circuit: Circuit, units: UnitSystem): FixIdea[] {
  return [
    {
      label: `Move the fuse to ${formatQuantity(defaults.stubLengthM, 'shortLength', units)} from the source`,
      circuit: { ...circuit, source: { ...circuit.source, stubLengthM: defaults.stubLengthM } },
    },
    ...(circuit.source?.stubSheathed
      ? []
      : [{ label: 'Sheathe the stub', circuit: { ...circuit, source: { ...circuit.source, stubSheathed: true } } }]),
  ];
}

/** Cable of the usual marine rating in every leg that the conductors run in. */
export function useBetterInsulation(circuit: Circuit, conductors: readonly ConductorFacts[]): FixIdea | undefined {
  const { insulationC } = defaults;
  const legs = new Set(
    conductors.flatMap(({ planned: { leg } }) =>
      leg === 'stub' ? ['sourceToPanel' as const] : leg === 'panel' || leg === 'lead' ? [] : [leg],
    ),
  );
  if (legs.size === 0) return undefined;
  const better = (leg: Leg): Leg => ({
    ...leg,
    insulationC,
    ...(leg.further ? { further: leg.further.map((run) => ({ ...run, insulationC })) } : {}),
  });
  return {
    label: `Use ${insulationC} °C cable ${legs.size === 1 ? 'for this leg' : 'for these legs'}`,
    circuit: {
      ...circuit,
      legs: mapLegs(circuit.legs, (leg, key) => (legs.has(key) ? better(leg) : leg)),
    },
  };
}

/** A small fuse for the running light's tap. */
export function fuseTheTap(circuit: Circuit): FixIdea {
  return { label: 'Give the tap a 1 A fuse', circuit: { ...circuit, panel: { ...circuit.panel, tapFuseA: 1 } } };
}

/** A feed and fuse of its own, from the battery that it hung on. */
export function ownFeed(circuit: Circuit): FixIdea {
  const { sharesFeedWith: _shared, ...own } = circuit;
  return { label: 'Give it a fuse and feed of its own', circuit: own };
}

/** Taking the feed ahead of the isolator. */
export function feedUnswitched(circuit: Circuit): FixIdea {
  return {
    label: 'Take the feed ahead of the isolator',
    circuit: { ...circuit, source: { ...circuit.source, feed: 'unswitched' } },
  };
}

/** A relay that carries the pump, driven by the switch and float there are. */
export function useRelay(circuit: Circuit): FixIdea | undefined {
  if (circuit.scheme !== 'three-way-float') return undefined;
  return { label: 'Let them drive a relay', circuit: { ...circuit, scheme: 'relay' } };
}

/** A diode across the relay's coil. */
export function suppressCoil(circuit: Circuit): FixIdea {
  return {
    label: 'Put a diode across the coil',
    circuit: { ...circuit, relay: { ...circuit.relay, suppression: 'diode' } },
  };
}

/** The running light between the post that carries the pump and negative. */
export function lightToNegative(circuit: Circuit): FixIdea {
  return {
    label: 'Wire the light to negative',
    circuit: { ...circuit, panel: { ...circuit.panel, lightWired: 'to-negative' } },
  };
}

/** A diode in each feed of the alarm. */
export function alarmDiodes(circuit: Circuit): FixIdea {
  return { label: 'Put a diode in each feed', circuit: { ...circuit, alarm: { ...circuit.alarm, diodes: true } } };
}

/** One common fuse in place of one in each leg. */
export function oneCommonFuse(circuit: Circuit): FixIdea {
  const { legFuses: _apart, ...panel } = circuit.panel ?? {};
  const { protection: _chosen, ...choices } = circuit.choices ?? {};
  return { label: 'Use one common fuse', circuit: { ...circuit, panel, choices } };
}

/** A manual switch with a second pole that breaks the auto leg while it is on. */
export function manualBreaksAuto(circuit: Circuit): FixIdea {
  return {
    label: 'Fit a manual switch that breaks the auto leg',
    circuit: { ...circuit, panel: { ...circuit.panel, manualBreaksAuto: true } },
  };
}

/** The wiring as the scheme plans it. */
export function backToPlan(circuit: Circuit): FixIdea | undefined {
  if (!circuit.rewired) return undefined;
  const { rewired: _found, ...planned } = circuit;
  return { label: 'Put the wiring back to plan', circuit: planned };
}

function withChoices(circuit: Circuit, part: Choices): Circuit {
  return { ...circuit, choices: { ...circuit.choices, ...part } };
}

/** Spreads ideas into a judgement only where there are any. */
export function withIdeas(...ideas: readonly (FixIdea | undefined)[]): { readonly ideas?: readonly FixIdea[] } {
  const known = ideas.filter((idea) => idea !== undefined);
  return known.length > 0 ? { ideas: known } : {};
}
