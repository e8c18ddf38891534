import { CircuitScreen } from '../../../../features/circuit/CircuitScreen';

export default function FloatRoute() {
  return <CircuitScreen station="float" />;
}
