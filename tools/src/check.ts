import { allChecks } from './checks';

process.exit((await allChecks()) ? 0 : 1);
