import type { Unfinished } from '@harbor-latch/core/assess/assessed';
import { BigButton } from './BigButton';
import { Empty } from './Empty';
import { Words } from './Words';

/** What is still needed before a circuit can be sized or put on the bench. */
export function NotYet({ assessed, onSurvey }: { readonly assessed: Unfinished; readonly onSurvey: () => void }) {
  if (assessed.needs.length === 0)
    return (
      <Words role="status" muted style={{ padding: 24, textAlign: 'center' }}>
        Being worked out …
      </Words>
    );
  return (
    <Empty
      icon="progress-pencil"
      title="Not enough measured yet"
      action={<BigButton onPress={onSurvey}>Go to the survey</BigButton>}
    >
      {`Still needed: ${assessed.needs.map((need) => `${need.label.toLowerCase()} (${need.why})`).join('; ')}.`}
    </Empty>
  );
}
