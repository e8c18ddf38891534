import { terminalName, type TerminalRef } from '@harbor-latch/core/circuit/index';
import type { Circuit } from '@harbor-latch/core/job/index';
import { terminalInWords, type Plan } from '@harbor-latch/core/schemes/index';
import { View } from 'react-native';
import { BigButton } from '../../ui/BigButton';
import { Notice } from '../../ui/Notice';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Words } from '../../ui/Words';
import { aboutSite } from './FaultPanel';
import {
  movedTo,
  swapOf,
  swapped,
  terminalsIn,
  withAdded,
  withoutWire,
  type Rewiring,
  type RewireStep,
} from './rewiring';

/** Wiring as found: moving a conductor's end, taking one off, adding one; and back to plan. */
export function RewirePanel({
  circuit,
  wired,
  differences,
  step,
  onStep,
  onRewired,
}: {
  readonly circuit: Circuit;
  /** The plan with the wiring as found. */
  readonly wired: Plan;
  /** Differences from the plan, in words. */
  readonly differences: readonly string[];
  readonly step: RewireStep;
  readonly onStep: (step: RewireStep) => void;
  readonly onRewired: (rewired: Rewiring | undefined, said: string) => void;
}) {
  const wires = [...wired.conductors, ...wired.existing];
  const words = (end: TerminalRef) => terminalInWords(wired, end, circuit.panel?.posts);
  const chosen = wires.find(({ id }) => (step.kind === 'move' || step.kind === 'swap') && id === step.wire);
  const swapsWith = chosen ? wires.filter((other) => swapOf(chosen, other) !== undefined) : [];
  return (
    <View style={{ gap: 12 }}>
      <Words>
        For wiring found otherwise than planned, or done wrong on purpose. Bench, findings and truth table follow; sizes
        stay the plan’s.
      </Words>
      {differences.length > 0 ? (
        <Notice
          tone="note"
          icon="not-equal-variant"
          actions={
            <BigButton mode="outlined" onPress={() => onRewired(undefined, 'Back to plan')}>
              Back to plan
            </BigButton>
          }
        >
          {differences.join(' ')}
        </Notice>
      ) : (
        <Words kind="strong">Wired as planned.</Words>
      )}
      <Words role="status" kind="strong">
        {asked(step, words)}
      </Words>
      <ChoiceRow
        label="Conductor to change"
        value={chosen?.id ?? ''}
        choices={wires.map(({ id }) => ({ value: id, label: aboutSite(wired, id) }))}
        onChoose={(wire) => onStep({ kind: 'move', wire, end: 'to' })}
      />
      {chosen && step.kind === 'move' ? (
        <View style={{ gap: 8 }}>
          <Words>{`From ${words(chosen.from)} to ${words(chosen.to)}.`}</Words>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {(['from', 'to'] as const).map((end) => (
              <BigButton
                key={end}
                mode={step.end === end ? 'contained' : 'outlined'}
                onPress={() => onStep({ ...step, end })}
              >
                {end === 'from' ? 'Move its start' : 'Move its end'}
              </BigButton>
            ))}
            {swapsWith.length > 0 ? (
              <BigButton
                mode="outlined"
                icon="swap-horizontal"
                onPress={() => onStep({ kind: 'swap', wire: chosen.id })}
              >
                Swap with another
              </BigButton>
            ) : null}
            <BigButton
              mode="outlined"
              icon="content-cut"
              onPress={() => {
                onRewired(withoutWire(circuit.rewired, chosen.id), `${aboutSite(wired, chosen.id)} taken off`);
                onStep({ kind: 'choose' });
              }}
            >
              Take it off
            </BigButton>
          </View>
          <TerminalChoice
            wired={wired}
            words={words}
            label={`Terminal for ${aboutSite(wired, chosen.id)}`}
            onTerminal={(at) => {
              onRewired(movedTo(circuit.rewired, chosen.id, step.end, at), `${aboutSite(wired, chosen.id)} moved`);
              onStep({ kind: 'choose' });
            }}
          />
        </View>
      ) : null}
      {chosen && step.kind === 'swap' ? (
        <ChoiceRow
          label={`Swap ${aboutSite(wired, chosen.id)} with`}
          value=""
          choices={swapsWith.map(({ id }) => ({ value: id, label: aboutSite(wired, id) }))}
          onChoose={(id) => {
            const other = wires.find((wire) => wire.id === id);
            if (other)
              onRewired(
                swapped(circuit.rewired, chosen, other),
                `${aboutSite(wired, chosen.id)} and ${aboutSite(wired, id)} swapped`,
              );
            onStep({ kind: 'choose' });
          }}
        />
      ) : null}
      {step.kind === 'add' ? (
        <TerminalChoice
          wired={wired}
          words={words}
          label={step.from ? 'Where the new conductor ends' : 'Where the new conductor starts'}
          onTerminal={(at) => {
            if (!step.from) return onStep({ kind: 'add', from: at });
            onRewired(withAdded(circuit.rewired, step.from, at), 'Conductor added');
            onStep({ kind: 'choose' });
          }}
        />
      ) : (
        <BigButton mode="outlined" icon="plus" onPress={() => onStep({ kind: 'add', from: null })}>
          Add a conductor
        </BigButton>
      )}
    </View>
  );
}

function asked(step: RewireStep, words: (end: TerminalRef) => string): string {
  switch (step.kind) {
    case 'choose':
      return 'Choose a conductor below, or in the drawing.';
    case 'move':
      return `Now touch the terminal that its ${step.end === 'from' ? 'start' : 'end'} sits on, in the drawing or below.`;
    case 'swap':
      return 'Now choose the conductor it changes places with.';
    case 'add':
      return step.from
        ? `From ${words(step.from)}. Now touch where it ends.`
        : 'Touch the terminal where the new conductor starts.';
    default:
      return step satisfies never;
  }
}

/** Every terminal by name: the drawing's own targets, for a keyboard. */
function TerminalChoice({
  wired,
  words,
  label,
  onTerminal,
}: {
  readonly wired: Plan;
  readonly words: (end: TerminalRef) => string;
  readonly label: string;
  readonly onTerminal: (at: TerminalRef) => void;
}) {
  const terminals = terminalsIn(wired);
  return (
    <ChoiceRow
      label={label}
      value=""
      choices={terminals.map((at) => ({ value: terminalName(at), label: words(at) }))}
      onChoose={(name) => {
        const at = terminals.find((one) => terminalName(one) === name);
        if (at) onTerminal(at);
      }}
    />
  );
}
