import type { Pose } from '@harbor-latch/core/job/index';
import { NumberField } from '../../../fields/NumberField';
import { TextField } from '../../../fields/TextField';
import { MeasurePose } from './MeasurePose';
import { Measured } from './Measured';

/** A pose in words: "bow up 3°, port down 4°, estimate". */
export function poseInWords({ trimDeg, heelDeg, guessed }: Pose): string {
  const words = [
    trimDeg === 0 ? null : `bow ${trimDeg > 0 ? 'down' : 'up'} ${Math.abs(trimDeg)}°`,
    heelDeg === 0 ? null : `${heelDeg > 0 ? 'starboard' : 'port'} down ${Math.abs(heelDeg)}°`,
  ].filter((one) => one !== null);
  return `${words.length === 0 ? 'level' : words.join(', ')}${guessed ? ', estimate' : ''}`;
}

/** An attitude of the boat. */
export function PoseFields({ pose, index }: { readonly pose: Pose; readonly index: number }) {
  const path = ['poses', index] as const;
  return (
    <>
      <Measured path={path} />
      <TextField path={[...path, 'name']} label="Name of the pose" needed />
      <MeasurePose pose={pose} />
      <NumberField
        path={[...path, 'trimDeg']}
        label="Trim, bow down positive"
        quantity="angle"
        step={{ metric: 0.5, us: 0.5 }}
        needed
        signed
        guide="A phone’s level along the keel or a floor that was level when she was built. Bow up is negative."
      />
      <NumberField
        path={[...path, 'heelDeg']}
        label="Heel, starboard down positive"
        quantity="angle"
        step={{ metric: 0.5, us: 0.5 }}
        needed
        signed
        guide="The level across. Port down is negative."
      />
      <NumberField
        path={[...path, 'outsideM']}
        label="Water outside over the pump’s base"
        quantity="shortLength"
        step={{ metric: 10, us: 0.5 }}
        signed
        guide="From the waterline down to the pump’s base. For holes, and for outlets that may go under."
      />
    </>
  );
}
