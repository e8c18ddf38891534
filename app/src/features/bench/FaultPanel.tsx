import {
  faultCodes,
  faultOf,
  type FaultCode,
  type FaultSite,
  type Netlist,
  type PlantedFault,
} from '@harbor-latch/core/circuit/index';
import type { Plan } from '@harbor-latch/core/schemes/index';
import { startTransition, useState } from 'react';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { ToolButton } from '../../ui/ToolButton';
import { Words } from '../../ui/Words';
import { useBenchNow } from './useBench';

/** Breaking the circuit on purpose: what, where, how badly; and what is broken now. */
export function FaultPanel({
  plan,
  planned,
}: {
  readonly plan: Plan;
  /** The netlist without faults, which says where each can sit. */
  readonly planned: Netlist;
}) {
  const bench = useBenchNow();
  const { faults } = bench.state;
  const [code, setCode] = useState<FaultCode | null>(null);
  const kind = code === null ? null : faultOf(code);
  const sites = kind ? kind.sites(planned) : [];
  const plant = (fault: PlantedFault) => {
    bench.change({ faults: [...faults.filter((other) => keyOf(other) !== keyOf(fault)), fault] });
    // The fault stands among what is broken at once; what it was chosen from closes right after.
    startTransition(() => setCode(null));
  };
  return (
    <View style={{ gap: 12 }}>
      {faults.length === 0 ? (
        <Words>Nothing is broken. Choose a fault, then where it sits; the bench shows what it does.</Words>
      ) : (
        faults.map((fault) => (
          <PlantedRow
            key={keyOf(fault)}
            fault={fault}
            about={aboutSite(plan, fault.at)}
            onDegree={(degree) =>
              bench.change({ faults: faults.map((other) => (other === fault ? { ...fault, degree } : other)) })
            }
            onRemove={() => bench.change({ faults: faults.filter((other) => other !== fault) })}
          />
        ))
      )}
      <Words kind="strong">Plant a fault</Words>
      <ChoiceRow
        label="Kind of fault"
        value={code ?? ''}
        choices={faultCodes
          .filter((one) => faultOf(one).sites(planned).length > 0)
          .map((one) => ({ value: one as string, label: faultOf(one).title }))}
        onChoose={(one) => setCode(one as FaultCode)}
      />
      {code !== null && kind ? (
        <>
          <Words kind="strong">{`Where: ${kind.name}`}</Words>
          <ChoiceRow
            label={`Where it is ${kind.name}`}
            value=""
            choices={named(sites, plan)}
            onChoose={(at) => plant({ code, at })}
          />
        </>
      ) : null}
    </View>
  );
}

function keyOf({ code, at }: PlantedFault): string {
  return `${code}@${at}`;
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Sites under the names of the plan; leads that bear none are left to the rewiring. */
function named(sites: readonly FaultSite[], plan: Plan): { readonly value: string; readonly label: string }[] {
  return sites.map(({ id }) => ({ value: id, label: aboutSite(plan, id) }));
}

/** What a site is called: a conductor or part by its name, a pair by both. */
export function aboutSite(plan: Plan, id: string): string {
  const nameOf = (one: string) =>
    plan.conductors.find((wire) => wire.id === one)?.name ??
    plan.parts.find(({ part }) => part.id === one)?.name ??
    capital(one.replace(/-/g, ' '));
  return id.split('~').map(nameOf).join(' and ');
}

function PlantedRow({
  fault,
  about,
  onDegree,
  onRemove,
}: {
  readonly fault: PlantedFault;
  readonly about: string;
  readonly onDegree: (degree: number) => void;
  readonly onRemove: () => void;
}) {
  const { name, degree } = faultOf(fault.code);
  const said = `${about}: ${name}`;
  return (
    <View style={{ gap: 4 }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
        <Words kind="strong" style={{ flex: 1, minWidth: 0 }}>
          {said}
        </Words>
        <ToolButton icon="close" label={`Mend: ${said}`} onPress={onRemove} />
      </View>
      {degree ? (
        <ChoiceRow
          label={`How much: ${said}`}
          value={String(fault.degree ?? degree.usual)}
          choices={steps(degree).map((value) => ({ value: String(value), label: `${value}\u00a0${degree.unit}` }))}
          onChoose={(value) => onDegree(Number(value))}
        />
      ) : null}
    </View>
  );
}

/** From the mildest to the worst, the usual one among them. */
function steps({ least, usual, most }: { readonly least: number; readonly usual: number; readonly most: number }) {
  const between = (one: number, other: number) => Number(Math.sqrt(one * other).toPrecision(2));
  return [...new Set([least, between(least, usual), usual, between(usual, most), most])];
}

/** Puts the bench's faults away all at once. */
export function MendAll() {
  const bench = useBenchNow();
  if (bench.state.faults.length === 0) return null;
  return (
    <BigButton mode="outlined" onPress={() => bench.change({ faults: [] })}>
      Mend everything
    </BigButton>
  );
}
