import { SolverMemory, type Setting } from '../circuit';

const KEPT_AT_MOST = 200;

/** What sizing remembers beside its solver: in which settings the pump of a circuit runs, by how it is wired. It changes no answer. */
export class SizingMemory extends SolverMemory {
  private readonly running = new Map<string, readonly Setting[]>();

  /** The running settings of a wiring, found once. */
  runningOf(wiring: string, find: () => readonly Setting[]): readonly Setting[] {
    const known = this.running.get(wiring);
    if (known) return known;
    const found = find();
    if (this.running.size >= KEPT_AT_MOST) this.running.clear();
    this.running.set(wiring, found);
    return found;
  }
}
