import { Redirect, useLocalSearchParams } from 'expo-router';

/** A circuit's own address leads to its first station. */
export default function CircuitAddress() {
  const { boatId, circuitId } = useLocalSearchParams<{ boatId: string; circuitId: string }>();
  return <Redirect href={`/boat/${boatId}/${circuitId}/survey`} />;
}
