import { CircuitScreen } from '../../../../features/circuit/CircuitScreen';

export default function SizeRoute() {
  return <CircuitScreen station="size" />;
}
