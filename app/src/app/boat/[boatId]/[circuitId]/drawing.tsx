import { CircuitScreen } from '../../../../features/screens';

export default function DrawingRoute() {
  return <CircuitScreen station="drawing" />;
}
