import { ServerProblem } from '../data/api';
import type { Aboard } from './Aboard';
import type { Hand } from './changes';
import { keepPicture, MOST_WHOLE, thinPictures, type MadePicture } from './pictureRows';

/** A picture as far as it can be shown. */
export type Shown =
  | { readonly kind: 'here'; readonly url: string }
  /** It is on the server, which cannot be reached. */
  | { readonly kind: 'away' }
  /** Neither this device nor the server has it, or not yet. */
  | { readonly kind: 'missing' };

/** Over this share of the room that the browser gives, whole pictures are let go. */
const FULL = 0.8;
const AT_ONCE = 3;

/** The pictures of the yard: those on this device, and those that are fetched when somebody looks. */
export class Pictures {
  private readonly urls = new Map<string, string>();
  private readonly asking = new Map<string, Promise<Shown>>();
  private bringing = false;

  constructor(
    private readonly aboard: Aboard,
    private readonly fetchPicture: (id: string) => Promise<Blob>,
    private readonly hand: () => Hand,
    private readonly makeUrl: (blob: Blob) => string,
    /** Share of the room on this device that is taken, 0 to 1. */
    private readonly roomTaken: () => Promise<number>,
  ) {}

  /** A picture that was shown before; undefined until it is asked for. */
  known(id: string): Shown | undefined {
    const url = this.urls.get(id);
    return url === undefined ? undefined : { kind: 'here', url };
  }

  /** A picture to be shown: from this device, or else from the server, and kept here then. */
  show(id: string, small: boolean): Promise<Shown> {
    const known = this.known(id);
    if (known) return Promise.resolve(known);
    const under = this.asking.get(id);
    if (under) return under;
    const asked = this.find(id, small).finally(() => this.asking.delete(id));
    this.asking.set(id, asked);
    return asked;
  }

  /** Keeps a new picture here, for what hangs it on something to have it sent. @throws where there is no room on this device */
  async keep(made: MadePicture): Promise<void> {
    const keep = () => this.aboard.changeOrThrow((change) => keepPicture(change, made, this.hand().now));
    try {
      await keep();
    } catch {
      await this.thin(0);
      await keep();
    }
    await this.thin((await this.roomTaken()) > FULL ? 0 : MOST_WHOLE);
  }

  /** Brings the small pictures of all boats that are on this device, so that they are seen without a signal. */
  async bringSmall(): Promise<void> {
    if (this.bringing) return;
    this.bringing = true;
    try {
      const here = new Set(await this.aboard.photoIds());
      const wanted = [...this.aboard.boats.values()]
        .flatMap(({ job }) => job.photographs ?? [])
        .map(({ small }) => small)
        .filter((id) => !here.has(id));
      const left = [...new Set(wanted)];
      const next = async (): Promise<void> => {
        for (let id = left.shift(); id !== undefined; id = left.shift()) {
          const shown = await this.show(id, true);
          if (shown.kind === 'away') left.length = 0;
        }
      };
      await Promise.all(Array.from({ length: AT_ONCE }, next));
    } finally {
      this.bringing = false;
    }
  }

  private async find(id: string, small: boolean): Promise<Shown> {
    const row = await this.aboard.photo(id);
    if (row) return this.shown(id, row.blob);
    let blob: Blob;
    try {
      blob = await this.fetchPicture(id);
    } catch (error) {
      return { kind: error instanceof ServerProblem ? 'missing' : 'away' };
    }
    const { now: at } = this.hand();
    // Where there is no room it is shown all the same.
    await this.aboard
      .changeOrThrow(async (change) => void (await change.photos.put({ id, blob, at, small })))
      .catch(() => undefined);
    if (!small) await this.thin((await this.roomTaken()) > FULL ? 0 : MOST_WHOLE);
    return this.shown(id, blob);
  }

  private async thin(most: number): Promise<void> {
    await this.aboard.changeOrThrow((change) => thinPictures(change, most)).catch(() => undefined);
  }

  private shown(id: string, blob: Blob): Shown {
    const url = this.makeUrl(blob);
    this.urls.set(id, url);
    return { kind: 'here', url };
  }
}
