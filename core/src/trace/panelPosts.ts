import type { Battery, Circuit, Continuity, LeverPosition } from '../job';
import { outlinePlan } from '../schemes';

/** What a post of a switch panel is for. */
export const postRoles = {
  common: 'common',
  manual: 'manual',
  auto: 'auto',
  lightNegative: 'light negative',
  fuseIn: 'fuse, in',
  fuseOut: 'fuse, out',
  spare: 'spare',
} as const;
export type PostRole = keyof typeof postRoles;

/** A panel as far as its posts go. */
export interface PanelPosts {
  /** Roles in the order in which posts are given to them, with the terminal of each; a spare has none. */
  readonly roles: readonly { readonly role: PostRole; readonly terminal: string | null }[];
  /** Lamps between roles, that an ohmmeter reads through: filaments; a diode reads nothing. */
  readonly filaments: readonly (readonly [PostRole, PostRole])[];
  /** Whether the fuse's far end is joined to the common inside, and has no post. */
  readonly fuseToCommon: boolean;
}

/** Most posts that are told apart by questions. */
export const MOST_POSTS = 7;

/** The parts of a panel with posts of their own; null for a circuit whose switch has no manual and auto. */
export function panelPosts(circuit: Circuit, battery: Battery, count: number): PanelPosts | null {
  const plan = outlinePlan(circuit, battery);
  const threeWay = plan.parts.find(({ part }) => part.kind === 'three-way-switch')?.part.id;
  if (threeWay === undefined || count < 3 || count > MOST_POSTS) return null;
  const lamp = (id: string) => plan.parts.find(({ part }) => part.kind === 'lamp' && part.id === id)?.part;
  const [light, armed] = [lamp('light'), lamp('armed')];
  const fuse = plan.parts.find(
    ({ part, band }) => part.kind === 'fuse' && part.id === 'panel-fuse' && band === 'panel',
  );
  const wired = circuit.panel?.lightWired ?? 'to-negative';
  const toNegative = (light !== undefined && wired === 'to-negative') || armed !== undefined;
  const known: PanelPosts['roles'] = [
    { role: 'common', terminal: `${threeWay}.common` },
    { role: 'manual', terminal: `${threeWay}.manual` },
    { role: 'auto', terminal: `${threeWay}.auto` },
    ...(toNegative
      ? [{ role: 'lightNegative' as const, terminal: `${light && wired === 'to-negative' ? light.id : 'armed'}.minus` }]
      : []),
    ...(fuse
      ? [
          { role: 'fuseIn' as const, terminal: `${fuse.part.id}.source` },
          { role: 'fuseOut' as const, terminal: `${fuse.part.id}.load` },
        ]
      : []),
  ];
  const spare: PanelPosts['roles'][number] = { role: 'spare', terminal: null };
  const roles = Array.from({ length: count }, (_, at) => known[at] ?? spare);
  const has = (role: PostRole) => roles.some((one) => one.role === role);
  const { panel } = circuit;
  const filaments: [PostRole, PostRole][] = [];
  if (panel?.light === 'filament' && light)
    filaments.push(wired === 'auto-to-manual' ? ['auto', 'manual'] : ['manual', 'lightNegative']);
  if (panel?.armedLight === 'filament' && armed) filaments.push(['auto', 'lightNegative']);
  return {
    roles,
    filaments: filaments.filter(([a, b]) => has(a) && has(b)),
    fuseToCommon: has('fuseIn') && !has('fuseOut'),
  };
}

/** How the switch may be broken. */
export const switchFaults = {
  manualDead: 'its manual contact never closes',
  autoDead: 'its auto contact never closes',
  manualWelded: 'its manual contact never opens',
  autoWelded: 'its auto contact never opens',
  fuseOpen: 'the panel’s fuse is blown, or out',
} as const;
export type SwitchFault = keyof typeof switchFaults;

/** What an ohmmeter says between two roles with the lever in a position, jumpers off and everything beyond disconnected. */
export function continuityBetween(
  panel: PanelPosts,
  [a, b]: readonly [PostRole, PostRole],
  lever: LeverPosition,
  fault: SwitchFault | null = null,
): Continuity {
  const closed: [PostRole, PostRole][] = [];
  if ((lever === 'manual' && fault !== 'manualDead') || fault === 'manualWelded') closed.push(['common', 'manual']);
  if ((lever === 'auto' && fault !== 'autoDead') || fault === 'autoWelded') closed.push(['common', 'auto']);
  if (fault !== 'fuseOpen') closed.push(['fuseIn', panel.fuseToCommon ? 'common' : 'fuseOut']);
  if (reaches(a, b, closed)) return 'beeps';
  return reaches(a, b, [...closed, ...panel.filaments]) ? 'some' : 'none';
}

function reaches(from: PostRole, to: PostRole, links: readonly (readonly [PostRole, PostRole])[]): boolean {
  // A spare is joined to nothing.
  const seen = new Set<PostRole>([from]);
  const open = [from];
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    for (const [one, other] of links) {
      const next = one === at ? other : other === at ? one : null;
      if (next === null || seen.has(next)) continue;
      seen.add(next);
      open.push(next);
    }
  }
  return from !== 'spare' && to !== 'spare' && seen.has(to);
}
