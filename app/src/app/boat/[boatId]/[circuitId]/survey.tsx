import { CircuitScreen } from '../../../../features/screens';

export default function SurveyRoute() {
  return <CircuitScreen station="survey" />;
}
