import { Assessor } from '@harbor-latch/core/assess/index';
import { readJob } from '@harbor-latch/core/file/index';
import alderWren from '../../../examples/alder-wren.json';

it('the core offers the same fixes translated for the browser as it does on its own', () => {
  const read = readJob(alderWren);
  if (!read.ok) throw new Error(read.problems[0].message);
  const assessor = new Assessor();
  const [assessed] = assessor.assess(read.job).circuits;
  if (assessed?.status !== 'sized') throw new Error('not sized');
  const fixes = assessed.findings.flatMap(({ code, id }) => {
    const fix = assessor.fixOf(read.job, assessed.circuit.id, id);
    return fix ? [[code, fix.label]] : [];
  });
  expect(fixes).toEqual([
    ['below-minimum-size', 'Use 10 AWG for the auto positive'],
    ['float-never-stops', 'Raise the float by 21\u00a0mm'],
    ['drop-over-school', 'Use 10 AWG for the auto positive'],
    ['interrupt-rating-exceeded', 'Add a 30 A main fuse at the battery'],
  ]);
});
