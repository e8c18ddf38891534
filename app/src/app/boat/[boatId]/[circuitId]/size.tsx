import { CircuitScreen } from '../../../../features/screens';

export default function SizeRoute() {
  return <CircuitScreen station="size" />;
}
