import { jobSchemaWith } from '../job';
import { schemeKeys } from '../schemes/keys';

/** The definition of the job file, with the schemes there are. */
export const jobSchema = jobSchemaWith(schemeKeys);
