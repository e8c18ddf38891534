import { CircuitScreen } from '../../../../features/circuit/CircuitScreen';

export default function BenchRoute() {
  return <CircuitScreen station="bench" />;
}
