import type { LampPart, TerminalRef } from '../circuit';
import { conductorSizes, defaults, minimumSize } from '../reference';
import { at, link, piece } from './pieces';
import type { PlannedConductor, PlannedPart, PlanPiece, SurveyedCircuit } from './plan';
import { legRun, panelRun } from './runs';
import { givenFuse } from './standardParts';

type Lane = PlannedPart['role'];

/** Posts of the panel that lights hang on. */
export interface LightPosts {
  /** The post that carries the pump. */
  readonly running: TerminalRef;
  /** The auto post, where the switch has one. */
  readonly auto?: TerminalRef;
  /** Where the running light stands in the drawing. */
  readonly lane: Lane;
}

const NOTHING = piece([]);

/**
 * The panel's lights. A running light from the post that carries the pump to
 * negative lights on manual and, fed back through the joint, when the float
 * closes on auto; one from the auto post to that post returns through the pump's
 * winding instead. An armed light says that auto is selected; its negative is
 * jumpered to the running light's where there is one.
 */
export function lights(circuit: SurveyedCircuit, posts: LightPosts): PlanPiece {
  const { light = 'none', armedLight = 'none', lightWired = 'to-negative' } = circuit.panel ?? {};
  const between = lightWired === 'auto-to-manual' && posts.auto !== undefined;
  const running =
    light === 'none'
      ? NOTHING
      : between
        ? betweenPosts(light, posts.running, posts.auto, posts.lane)
        : toNegative(circuit, lampPart('light', light, 'running', posts.lane), posts.running, null);
  const jumper = light === 'none' || between ? null : at('light', 'minus');
  const armed =
    armedLight === 'none' || posts.auto === undefined
      ? NOTHING
      : toNegative(circuit, lampPart('armed', armedLight, 'armed', 'auto'), posts.auto, jumper);
  return piece(
    [...running.parts, ...armed.parts],
    [...running.conductors, ...armed.conductors],
    [...running.existing, ...armed.existing],
  );
}

function lampPart(id: string, lamp: LampPart['lamp'], shows: LampPart['shows'], role: Lane): PlannedPart {
  const name = shows === 'armed' ? 'Armed light' : 'Running light';
  return { part: { kind: 'lamp', id, lamp, shows }, name, band: 'panel', role };
}

/** What leads to a light or alarm. */
export const TAP = { base: 'brown' } as const;

/** A tap from a post through its own small fuse, where it has one, to a part; and the part's negative. */
export function toNegative(
  circuit: SurveyedCircuit,
  load: PlannedPart,
  from: TerminalRef,
  jumper: TerminalRef | null,
): PlanPiece {
  const { id } = load.part;
  const tap = tapTo(circuit, load, from, at(id, 'plus'));
  return piece(
    [...tap.parts, load],
    [...tap.conductors, ...(jumper ? [] : [negativeOf(circuit, load, tap.parts[0]?.part.id)])],
    [...tap.existing, ...(jumper ? [link(`${id}-jumper`, at(id, 'minus'), jumper)] : [])],
  );
}

/** The conductor from a light's or alarm's negative to the bus. @param behind the fuse of its tap, if it has one, which opens on a short in the light itself */
export function negativeOf(
  circuit: SurveyedCircuit,
  { part: { id }, name }: PlannedPart,
  behind: string | undefined,
): PlannedConductor {
  return {
    id: `${id}-negative`,
    name: `${name} negative`,
    from: at(id, 'minus'),
    to: at('bus', id),
    role: 'negative',
    colour: { base: 'black' },
    givenSize: minimumSize[circuit.choices?.family ?? 'awg'],
    ...(behind === undefined ? {} : { behind }),
    ...legRun(circuit, 'sourceToPanel', 'light'),
  };
}

/** The thin tap of a light or alarm behind the panel, with its fuse where it has one. */
function tapTo(circuit: SurveyedCircuit, load: PlannedPart, from: TerminalRef, to: TerminalRef): PlanPiece {
  const { id } = load.part;
  const tapFuseA = circuit.panel?.tapFuseA;
  const fuseId = id === 'light' ? 'tap-fuse' : `${id}-fuse`;
  const end = tapFuseA === undefined ? to : at(fuseId, 'source');
  const tap = thinTap(
    circuit,
    `${id}-tap`,
    id === 'light' ? 'Light tap' : `${load.name.split(' ')[0] ?? load.name} tap`,
    from,
    end,
    tapFuseA === undefined ? undefined : fuseId,
  );
  return piece(
    tapFuseA === undefined
      ? []
      : [
          {
            part: givenFuse(fuseId, { kind: 'blade', ratingA: tapFuseA }),
            name: id === 'light' ? 'Tap fuse' : `${load.name.split(' ')[0] ?? load.name} fuse`,
            band: 'panel',
            role: load.role,
          },
        ],
    [tap],
    tapFuseA === undefined ? [] : [link(`${fuseId}-out`, at(fuseId, 'load'), to, TAP)],
  );
}

function thinTap(
  circuit: SurveyedCircuit,
  id: string,
  name: string,
  from: TerminalRef,
  to: TerminalRef,
  behind: string | undefined,
): PlannedConductor {
  const family = circuit.choices?.family ?? 'awg';
  return {
    id,
    name,
    from,
    to,
    role: 'manual',
    colour: { base: 'brown' },
    givenSize: conductorSizes[family][0]?.size ?? minimumSize[family],
    underLeastBecause: 'It stays inside the panel.',
    ...(behind === undefined ? {} : { behind }),
    ...panelRun(defaults.lightTapM),
  };
}

function betweenPosts(
  light: LampPart['lamp'],
  manual: TerminalRef,
  auto: TerminalRef | undefined,
  lane: Lane,
): PlanPiece {
  if (!auto) return NOTHING;
  return piece(
    [lampPart('light', light, 'running', lane)],
    [],
    [link('light-from-auto', auto, at('light', 'plus')), link('light-to-manual', at('light', 'minus'), manual)],
  );
}
