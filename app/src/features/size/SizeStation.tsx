import type { AssessedCircuit } from '@harbor-latch/core/assess/assessed';
import type { Fix } from '@harbor-latch/core/findings/finding';
import type { Choices, Circuit, Job } from '@harbor-latch/core/job/index';
import { cautions } from '@harbor-latch/core/reference/index';
import { View } from 'react-native';
import { useAlternatives, useFixes, useVerdicts } from '../../data/assessment';
import { Card } from '../../ui/Card';
import { Gradually } from '../../ui/Gradually';
import { NotYet } from '../../ui/NotYet';
import { useStable } from '../../ui/useStable';
import { Words } from '../../ui/Words';
import { AlarmCard } from './AlarmCard';
import { AlternativesCard } from './AlternativesCard';
import { AnswerCard } from './AnswerCard';
import { ConductorRow } from './ConductorRow';
import { Findings } from '../../ui/Findings';
import { FuseCard, type ProtectionChoice } from './FuseCard';
import { SchoolRow } from './SchoolRow';
import { SupplyTable } from './SupplyTable';
import { WiredAsCard } from './WiredAsCard';

export interface SizeStationProps {
  readonly job: Job;
  readonly assessed: AssessedCircuit;
  /** Conductor or part chosen in the drawing. */
  readonly selected: string | null;
  readonly onSelect: (id: string | null) => void;
  readonly onCircuit: (circuit: Circuit, said: string) => void;
  /** Carries a fix out, which may change more circuits than this one. */
  readonly onFix: (fix: Fix) => void;
  readonly onSurvey: () => void;
}

/** The answer, why, and every choice that can be made about it. */
export function SizeStation({ assessed, onSurvey, ...props }: SizeStationProps) {
  return assessed.status === 'incomplete' ? (
    <NotYet assessed={assessed} onSurvey={onSurvey} />
  ) : (
    <Sized assessed={assessed} {...props} />
  );
}

function Sized({
  job,
  assessed,
  selected,
  onSelect,
  onCircuit,
  onFix,
}: Omit<SizeStationProps, 'assessed' | 'onSurvey'> & {
  readonly assessed: Exclude<AssessedCircuit, { status: 'incomplete' }>;
}) {
  const { facts, findings, circuit } = assessed;
  const fixes = useFixes(job, circuit.id, findings);
  const fuseVerdicts = useVerdicts(job, circuit.id, null);
  const alternatives = useAlternatives(job, circuit.id);
  const choices = circuit.choices ?? {};
  const onChoices = (next: Choices, said: string) => onCircuit({ ...circuit, choices: next }, said);
  const chooseSize = useStable((id: string, size: string | null) => {
    const { [id]: _before, ...others } = choices.conductors ?? {};
    onChoices(
      { ...choices, conductors: size === null ? others : { ...others, [id]: size } },
      size === null ? 'Back to the proposed size' : `Chosen: ${size}`,
    );
  });
  const toggle = useStable((id: string) => onSelect(selected === id ? null : id));
  const chooseProtection = useStable(({ kind, ratingA }: ProtectionChoice) =>
    onChoices(
      { ...choices, protection: { kind, ...(ratingA === null ? {} : { ratingA }) } },
      ratingA === null ? 'Back to the proposed rating' : `Chosen: ${ratingA} A`,
    ),
  );
  return (
    <View style={{ gap: 12 }}>
      <Gradually first={2}>
        {assessed.status === 'sized' ? (
          <AnswerCard facts={assessed.facts} findings={findings} />
        ) : (
          <AlarmCard assessed={assessed} />
        )}
        {assessed.status === 'sized' ? (
          <SchoolRow boatId={job.boat.id} circuitId={circuit.id} alternatives={alternatives} onChoices={onChoices} />
        ) : null}
        <Findings
          findings={findings.filter(({ severity }) => severity !== 'note')}
          fixes={fixes.known}
          onTake={(id) => fixes.take(id, onFix)}
        />
        {assessed.status === 'sized' ? (
          <>
            <SupplyTable facts={assessed.facts} />
            <AlternativesCard alternatives={alternatives} />
          </>
        ) : null}
        <Card>
          <View style={{ padding: 14, paddingBottom: 10 }}>
            <Words kind="heading" level={2}>
              Conductors
            </Words>
            <Words kind="small" muted>
              Touch one for other sizes and the working.
            </Words>
          </View>
          {facts.conductors.map((conductor) => {
            const { id } = conductor.planned;
            return (
              <ConductorRow
                key={id}
                job={selected === id ? job : null}
                circuitId={circuit.id}
                working={selected === id ? facts.conductors : null}
                conductor={conductor}
                chosen={facts.circuit.choices?.conductors?.[id]}
                onToggle={toggle}
                onSize={chooseSize}
              />
            );
          })}
        </Card>
        {assessed.status === 'sized' ? (
          <FuseCard
            boatId={job.boat.id}
            facts={assessed.facts}
            findings={findings}
            verdicts={fuseVerdicts}
            onChoose={chooseProtection}
          />
        ) : null}
        <Findings
          findings={findings.filter(({ severity }) => severity === 'note')}
          fixes={fixes.known}
          main={false}
          onTake={(id) => fixes.take(id, onFix)}
        />
        <WiredAsCard statements={assessed.wiredAs} />
        <View style={{ gap: 6, paddingHorizontal: 4 }}>
          {[cautions.autoStart, cautions.batteryBurns, cautions.fuelVapour, cautions.localRules].map((caution) => (
            <Words key={caution} kind="small" muted>
              {caution}
            </Words>
          ))}
        </View>
      </Gradually>
    </View>
  );
}
