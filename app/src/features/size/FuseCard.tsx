import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Verdicts } from '@harbor-latch/core/assess/verdicts';
import { protectionReasons } from '@harbor-latch/core/explain/index';
import { protectionKindOf } from '@harbor-latch/core/job/protectionKind';
import { protectionFamilies, type ProtectionKind } from '@harbor-latch/core/reference/index';
import { memo } from 'react';
import { View } from 'react-native';
import { useChoicesNow } from '../../data/circuits';
import { Card } from '../../ui/Card';
import { ChoiceRow } from '../../ui/ChoiceRow';
import { Icon } from '../../ui/Icon';
import { standingLook } from '../../ui/Standing';
import { usePalette } from '../../ui/theme';
import { Words } from '../../ui/Words';
import { VerdictLines } from './VerdictLines';
import { verdictAt } from './verdictAt';

type Sized = Extract<AssessedCircuit, { status: 'sized' }>;

export interface ProtectionChoice {
  readonly kind: ProtectionKind;
  /** null: the proposed rating. */
  readonly ratingA: number | null;
}

interface ChoosingProps extends Pick<Sized, 'facts'> {
  readonly boatId: string;
  /** What each rating would bring; null until that is known. */
  readonly verdicts: Verdicts | null;
  readonly onChoose: (choice: ProtectionChoice) => void;
}

/** The fuse or breaker with its chain of reasons, and the choice of another. */
export const FuseCard = memo(function FuseCard({
  boatId,
  facts,
  findings,
  verdicts,
  onChoose,
}: ChoosingProps & Pick<Sized, 'findings'>) {
  const palette = usePalette();
  const { protection } = facts;
  const family = protectionFamilies[protection.kind];
  return (
    <Card>
      <View style={{ padding: 14, gap: 12 }}>
        <View style={{ flexDirection: 'row', alignItems: 'baseline', justifyContent: 'space-between', gap: 8 }}>
          <Words kind="heading" level={2}>
            {`${protection.ratingA}\u00a0A ${family.name}`}
          </Words>
          <Words kind="small" muted>
            {facts.sharedFeed
              ? `taken over from ${facts.sharedFeed.leaderName}`
              : protection.overridden
                ? 'chosen by you'
                : 'proposed'}
          </Words>
        </View>
        {protectionReasons(facts, findings).map((reason) => {
          const look = standingLook[reason.verdict ?? 'good'];
          return (
            <View key={reason.question} style={{ flexDirection: 'row', gap: 10 }}>
              <Icon name={look.icon} color={palette[look.ink]} />
              <View style={{ flex: 1, minWidth: 0 }}>
                <Words kind="strong">{`${reason.question}: ${look.word.toLowerCase()}`}</Words>
                <Words kind="small" muted>
                  {reason.answer}
                </Words>
              </View>
            </View>
          );
        })}
        <Words kind="small" muted>
          {`Opening times from the window of the ${family.name}: ${family.source}. Replace by the maker’s curve where you have it.`}
        </Words>
        {facts.sharedFeed ? (
          <Words kind="small" muted>
            {`It is chosen in ${facts.sharedFeed.leaderName}, whose feed this is.`}
          </Words>
        ) : (
          <Choosing boatId={boatId} facts={facts} verdicts={verdicts} onChoose={onChoose} />
        )}
      </View>
    </Card>
  );
});

/** Kind and rating. What was touched stands chosen at once; the ratings of another kind come with its figures. */
function Choosing({ boatId, facts, verdicts, onChoose }: ChoosingProps) {
  const { protection, circuit } = facts;
  const { choices = {} } = circuit;
  const now = useChoicesNow(boatId, circuit.id);
  const kind = protectionKindOf(now);
  const proposedHere = protection.proposed?.kind === protection.kind ? protection.proposed.ratingA : null;
  const ratings = [...new Set([...protectionFamilies[protection.kind].ratingsA, protection.ratingA])].sort(
    (a, b) => a - b,
  );
  const asWorkedOut = kind === protection.kind && now.protection?.ratingA === choices.protection?.ratingA;
  const chosenA = asWorkedOut ? protection.ratingA : (now.protection?.ratingA ?? proposedHere);
  const taken = kind === protection.kind && chosenA !== null ? String(chosenA) : '';
  return (
    <>
      <ChoiceRow
        label="Kind of protection"
        value={kind}
        ahead
        choices={(['blade', 'thermalBreaker', 'cubeAtBattery'] as const).map((value) => ({
          value,
          label: protectionFamilies[value].name,
        }))}
        onChoose={(chosen: ProtectionKind) => onChoose({ kind: chosen, ratingA: null })}
      />
      <ChoiceRow
        label="Rating"
        value={taken}
        ahead
        choices={ratings.map((ratingA) => ({
          value: String(ratingA),
          label: `${ratingA}\u00a0A${ratingA === proposedHere ? ', proposed' : ''}`,
          ...verdictAt(verdicts, String(ratingA)),
        }))}
        onChoose={(ratingA) =>
          onChoose({ kind: protection.kind, ratingA: Number(ratingA) === proposedHere ? null : Number(ratingA) })
        }
      />
      <VerdictLines verdicts={verdicts} values={ratings.map(String)} taken={taken} unit={'\u00a0A'} />
    </>
  );
}
