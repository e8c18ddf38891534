import { CircuitScreen } from '../../../../features/circuit/CircuitScreen';

export default function SurveyRoute() {
  return <CircuitScreen station="survey" />;
}
