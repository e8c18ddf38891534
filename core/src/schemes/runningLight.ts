import type { TerminalRef } from '../circuit';
import { conductorSizes, defaults, minimumSize } from '../reference';
import type { SurveyedCircuit } from './plan';
import { legRun, panelRun } from './runs';
import { givenFuse } from './standardParts';
import type { PlanPiece } from './supplySide';

/**
 * The running light from the post that carries the pump to negative: it lights
 * on manual and, fed back through the joint, when the float closes on auto.
 * @param from the post its tap is taken from
 * @param lane where it stands in the drawing
 */
export function runningLight(circuit: SurveyedCircuit, from: TerminalRef, lane: 'supply' | 'auto'): PlanPiece {
  const { panel } = circuit;
  if (!panel?.light || panel.light === 'none') return { parts: [], conductors: [], existing: [] };
  const family = circuit.choices?.family ?? 'awg';
  const fused = panel.tapFuseA !== undefined;
  const smallest = conductorSizes[family][0]?.size ?? minimumSize[family];
  return {
    parts: [
      ...(panel.tapFuseA === undefined
        ? []
        : [
            {
              part: givenFuse('tap-fuse', { kind: 'blade', ratingA: panel.tapFuseA }),
              name: 'Tap fuse',
              band: 'panel',
              role: lane,
            } as const,
          ]),
      { part: { kind: 'lamp', id: 'light', lamp: panel.light }, name: 'Running light', band: 'panel', role: lane },
    ],
    conductors: [
      {
        id: 'light-tap',
        name: 'Light tap',
        from,
        to: fused ? { part: 'tap-fuse', terminal: 'source' } : { part: 'light', terminal: 'plus' },
        role: 'manual',
        colour: { base: 'brown' },
        givenSize: smallest,
        underLeastBecause: 'It stays inside the panel.',
        ...panelRun(defaults.lightTapM),
      },
      {
        ...legRun(circuit, 'sourceToPanel'),
        id: 'light-negative',
        name: 'Light negative',
        from: { part: 'light', terminal: 'minus' },
        to: { part: 'bus', terminal: 'light' },
        role: 'negative',
        colour: { base: 'black' },
        givenSize: minimumSize[family],
        duty: 'light',
      },
    ],
    existing: fused
      ? [{ id: 'tap-fuse-out', from: { part: 'tap-fuse', terminal: 'load' }, to: { part: 'light', terminal: 'plus' } }]
      : [],
  };
}
