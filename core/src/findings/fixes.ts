import type { Choices, Circuit } from '../job';
import type { ConductorFacts, ProtectionFacts } from './facts';
import type { FixIdea } from './finding';
import { defaults, protectionFamilies, protectionPlace, ratingOverRunning, type ProtectionKind } from '../reference';

/** Going back from a chosen size to the proposed one; nothing where that changes nothing. */
export function useProposedSize(circuit: Circuit, conductor: ConductorFacts): FixIdea | undefined {
  if (!conductor.overridden || conductor.size === conductor.proposedSize) return undefined;
  const chosen = Object.entries(circuit.choices?.conductors ?? {});
  const conductors = Object.fromEntries(chosen.filter(([id]) => id !== conductor.planned.id));
  return {
    label: `Use ${conductor.proposedSize} for the ${conductor.planned.name.toLowerCase()}`,
    circuit: withChoices(circuit, { conductors }),
  };
}

/** Going back from a chosen fuse to the proposed one; nothing where there is none or it is the same. */
export function useProposedRating(circuit: Circuit, protection: ProtectionFacts): FixIdea | undefined {
  const { proposed } = protection;
  if (!proposed || !protection.overridden) return undefined;
  if (proposed.kind === protection.kind && proposed.ratingA === protection.ratingA) return undefined;
  const { ratingA: _dropped, ...rest } = circuit.choices?.protection ?? {};
  return {
    label: `Use the ${proposed.ratingA} A ${protectionFamilies[proposed.kind].name}`,
    circuit: withChoices(circuit, { protection: rest }),
  };
}

/** Going back to the proposed sizes everywhere; nothing where none was overridden. */
export function useProposedSizes(circuit: Circuit, conductors: readonly ConductorFacts[]): FixIdea | undefined {
  const changed = conductors.filter((conductor) => conductor.overridden && conductor.size !== conductor.proposedSize);
  const [first] = changed;
  if (!first) return undefined;
  return { label: `Use ${first.proposedSize} throughout`, circuit: withChoices(circuit, { conductors: {} }) };
}

/** A smaller standard rating that still carries the current: each one down to it, largest first. */
export function useSmallerRating(circuit: Circuit, protection: ProtectionFacts, runningA: number): FixIdea[] {
  const { kind } = protection;
  return protectionFamilies[kind].ratingsA
    .filter((ratingA) => ratingA < protection.ratingA && ratingA >= runningA)
    .reverse()
    .map((ratingA) => ({
      label: `Use a ${ratingA} A ${protectionFamilies[kind].name}`,
      circuit: withChoices(circuit, { protection: { kind, ratingA } }),
    }));
}

/** The same or the nearest rating in another family. */
export function useFamily(circuit: Circuit, kind: ProtectionKind, runningA: number): FixIdea[] {
  const ratingA = protectionFamilies[kind].ratingsA.find((rating) => rating >= runningA * ratingOverRunning);
  if (ratingA === undefined) return [];
  return [
    {
      label: `Use a ${ratingA} A ${protectionFamilies[kind].name}`,
      circuit: withChoices(circuit, { protection: { kind, ratingA } }),
    },
  ];
}

/** A high-interrupt fuse on the battery post, ahead of the circuit's own. */
export function addMainFuse(circuit: Circuit, faultA: number): FixIdea[] {
  return (['cubeAtBattery', 'classT'] as const)
    .filter((kind) => protectionFamilies[kind].interruptA >= faultA)
    .flatMap((kind) => {
      const [ratingA] = protectionFamilies[kind].ratingsA;
      return ratingA === undefined
        ? []
        : [
            {
              label: `Add a ${ratingA} A main fuse at the battery`,
              circuit: { ...circuit, source: { ...circuit.source, mainFuse: { kind, ratingA } } },
            },
          ];
    });
}

/** A fuse for this pump alone, in the panel, behind whatever larger one stands before it. */
export function addPanelFuse(circuit: Circuit, designCurrentA: number): FixIdea[] {
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

/** The stub before the fuse shortened or sheathed. */
export function moveFuse(circuit: Circuit, stubLengthM: number): FixIdea[] {
  const sheathed = { ...circuit.source, stubSheathed: true };
  return [
    ...(stubLengthM <= protectionPlace.sheathedM && !circuit.source?.stubSheathed
      ? [{ label: 'Sheathe the stub', circuit: { ...circuit, source: sheathed } }]
      : []),
    {
      label: `Move the fuse to ${defaults.stubLengthM * 1000} mm from the source`,
      circuit: { ...circuit, source: { ...circuit.source, stubLengthM: defaults.stubLengthM } },
    },
  ];
}

/** Cable of the usual marine rating in the leg that a conductor runs in. */
export function useBetterInsulation(circuit: Circuit, { planned }: ConductorFacts): FixIdea | undefined {
  const leg = planned.leg === 'stub' ? 'sourceToPanel' : planned.leg;
  if (leg === 'panel' || leg === 'lead') return undefined;
  const surveyed = circuit.legs[leg];
  const { insulationC } = defaults;
  const better = {
    ...surveyed,
    insulationC,
    ...(surveyed.further ? { further: surveyed.further.map((run) => ({ ...run, insulationC })) } : {}),
  };
  return {
    label: `Use ${insulationC} °C cable for this leg`,
    circuit: { ...circuit, legs: { ...circuit.legs, [leg]: better } },
  };
}

/** A small fuse for the running light's tap. */
export function fuseTheTap(circuit: Circuit): FixIdea {
  return { label: 'Give the tap a 1 A fuse', circuit: { ...circuit, panel: { ...circuit.panel, tapFuseA: 1 } } };
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
