import { legKinds, legOf, mapLegs, type Circuit, type Job } from '../job';
import type { Fix, SharedFeed } from '../findings';
import type { SharedPump } from '../schemes';
import type { AssessedCircuit } from './assessed';
import type { Need } from './needs';

/** A circuit with the feed it hangs on, and what else hangs there. */
interface Feed {
  readonly circuit: Circuit;
  readonly others: readonly SharedPump[];
  /** What is taken over; null for a feed of its own. */
  readonly shared: SharedFeed | null;
  readonly needs: readonly Need[];
  readonly alarmAlso: SharedPump | null;
}

const FEED_PARTS = ['feed', 'stub', 'fuse'];

/**
 * Resolves a shared feed: a circuit that names another takes over that one's
 * battery, source, feed leg and fuse; both feel each other's current.
 * @param known circuits assessed already, the one whose feed it is among them
 */
export function feedOf(job: Job, circuit: Circuit, known: ReadonlyMap<string, AssessedCircuit>): Feed {
  const leader = job.circuits.find(({ id }) => id === circuit.sharesFeedWith);
  const leaderId = leader?.id ?? circuit.id;
  const onFeed = job.circuits.filter(
    (other) => other.id !== circuit.id && (other.id === leaderId || other.sharesFeedWith === leaderId),
  );
  const also = job.circuits.filter(({ id }) => id === circuit.alarm?.alsoFrom);
  const needs = [
    ...onFeed
      .filter(({ pump }) => pump.currentA === undefined)
      .map(({ name }) => ({
        path: ['sharesFeedWith'],
        label: `Amperes of ${name}, on the same feed`,
        why: 'the currents of a shared feed add up',
      })),
    ...also
      .filter(({ pump }) => pump.currentA === undefined)
      .map(({ name }) => ({
        path: ['alarm', 'alsoFrom'],
        label: `Amperes of ${name}, whose pump sounds the alarm as well`,
        why: 'shows whether one circuit feeds back into the other',
      })),
  ];
  const others = onFeed.flatMap(knownPump);
  const alarmAlso = also.flatMap(knownPump)[0] ?? null;
  if (!leader) return { circuit, others, shared: null, needs, alarmAlso };
  const { source: _own, ...rest } = circuit;
  const sized = known.get(leader.id);
  const sizes = sized?.status === 'sized' ? sized.facts.conductors : [];
  return {
    circuit: {
      ...rest,
      ...(leader.source ? { source: leader.source } : {}),
      batteryId: leader.batteryId,
      legs: withFeedOf(circuit, leader),
    },
    others,
    needs,
    alarmAlso,
    shared: {
      leaderId: leader.id,
      leaderName: leader.name,
      rating:
        sized?.status === 'sized'
          ? { kind: sized.facts.protection.kind, ratingA: sized.facts.protection.ratingA }
          : null,
      sizes: Object.fromEntries(
        sizes.filter(({ planned }) => FEED_PARTS.includes(planned.id)).map(({ planned, size }) => [planned.id, size]),
      ),
    },
  };
}

function knownPump({ id, name, pump }: Circuit): SharedPump[] {
  return pump.currentA === undefined ? [] : [{ id, name, pump: { ...pump, currentA: pump.currentA } }];
}

/** The assessment under the circuit's own fields. */
export function underOwnFields(assessed: AssessedCircuit, own: Circuit): AssessedCircuit {
  return own.sharesFeedWith === undefined ? assessed : { ...assessed, circuit: own };
}

/** A fix without what it would change of the feed that another circuit shares; undefined where nothing of it is left. */
export function fixOfOwn(fix: Fix | undefined, own: Circuit): Fix | undefined {
  if (!fix || own.sharesFeedWith === undefined) return fix;
  // With a feed of its own it begins from what it took over: battery, source and leg.
  if (fix.circuit.sharesFeedWith === undefined) return fix;
  const circuit = ownFields(fix.circuit, own);
  return JSON.stringify(circuit) === JSON.stringify(ownFields(own, own)) ? undefined : { ...fix, circuit };
}

function ownFields(changed: Circuit, own: Circuit): Circuit {
  const { source: _feed, choices, ...rest } = changed;
  const { protection: _shared, ...chosen } = choices ?? {};
  return {
    ...rest,
    ...(own.source ? { source: own.source } : {}),
    batteryId: own.batteryId,
    legs: withFeedOf(changed, own),
    choices: { ...chosen, ...(own.choices?.protection ? { protection: own.choices.protection } : {}) },
  };
}

/** The legs of one circuit with the feed's of another. */
function withFeedOf({ legs }: Circuit, other: Circuit): Circuit['legs'] {
  return mapLegs(legs, (leg, key) => (legKinds[key].ofFeed ? legOf(other, key) : leg));
}
