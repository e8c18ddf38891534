import { CircuitScreen } from '../../../../features/circuit/CircuitScreen';

export default function DrawingRoute() {
  return <CircuitScreen station="drawing" />;
}
