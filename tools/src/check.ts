import { allChecks } from './checks';

process.exit(allChecks() ? 0 : 1);
