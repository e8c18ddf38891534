import { CircuitScreen } from '../../../../features/screens';

export default function BenchRoute() {
  return <CircuitScreen station="bench" />;
}
