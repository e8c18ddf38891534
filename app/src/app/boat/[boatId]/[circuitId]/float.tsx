import { CircuitScreen } from '../../../../features/screens';

export default function FloatRoute() {
  return <CircuitScreen station="float" />;
}
