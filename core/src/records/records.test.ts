import { createHash, createPublicKey, verify } from 'node:crypto';
import { newJob } from '../job';
import { packBundle, unpackBundle } from './bundle';
import { canonicalText, hashOf, sha256Hex } from './canonical';
import { chainHash, CHAIN_BEGIN } from './chain';
import { checkBundle, type CheckSignature } from './checkBundle';
import { entryHash, entrySchema, type ChainedEntry } from './entry';
import { bodyProblems, entryInWords, standing } from './known';
import {
  BOAT,
  bundleOf,
  chained,
  checks,
  headOf,
  otherPhone,
  pairOf,
  phone,
  signedBy,
  throughText,
  yardKey,
} from './records.fixture';

const five = chained([1, 2, 3, 4, 5].map((index) => signedBy(index % 2 ? phone : otherPhone, index)));
const at = (index: number): ChainedEntry => {
  const one = five[index - 1];
  if (!one) throw new Error(`No entry ${index}.`);
  return one;
};
/** Checks entries against the head that the yard gave for all five. */
const against = (entries: readonly (ChainedEntry | null)[]) =>
  checkBundle({ entries, head: headOf(five), job: null, photographs: new Map() }, checks);

describe('the fingerprint of an entry', () => {
  it('is SHA-256 of its canonical JSON, whatever order its keys came in', () => {
    expect(canonicalText({ b: 1, a: [1e21, 0.1, 'é\u0007'], '10': null })).toBe(
      '{"10":null,"a":[1e+21,0.1,"é\\u0007"],"b":1}',
    );
    const { entry } = at(1);
    const turned = Object.fromEntries(Object.entries(entry).reverse()) as typeof entry;
    expect(entryHash(turned)).toBe(entryHash(entry));
    // An independent SHA-256 over the text that the format describes.
    const text = `{"boat":"${entry.boat}","body":{"words":"Note 1"},"by":"Wren","circuit":"main","device":"${entry.device}","id":"${entry.id}","kind":"note","madeAt":"${entry.madeAt}","yard":"${entry.yard}"}`;
    expect(entryHash(entry)).toBe(createHash('sha256').update(text, 'utf8').digest('hex'));
  });

  it('is signed in a way that another program checks', () => {
    const { entry, signature } = at(1);
    const raw = Buffer.concat([Buffer.from('302a300506032b6570032100', 'hex'), Buffer.from(entry.device, 'hex')]);
    const key = createPublicKey({ key: raw, format: 'der', type: 'spki' });
    expect(verify(null, Buffer.from(entryHash(entry), 'hex'), key, Buffer.from(signature, 'hex'))).toBe(true);
  });

  it('goes into the chain with number and time, after all that was before', () => {
    const own = createHash('sha256')
      .update(`${at(1).chainHash}\n${entryHash(at(2).entry)}\n2\n${at(2).receivedAt}`)
      .digest('hex');
    expect(at(2).chainHash).toBe(own);
    expect(at(1).chainHash).toBe(
      chainHash(CHAIN_BEGIN, { entryHash: entryHash(at(1).entry), number: 1, receivedAt: at(1).receivedAt }),
    );
  });
});

describe('a chain of records', () => {
  it('is good as it was written, also after text, and says under which key', async () => {
    const good = await against(throughText(five));
    expect(good).toMatchObject({ ok: true, entries: 5, key: yardKey.key, head: at(5).chainHash });
    expect(good.words).toContain(`Consistent under key ${yardKey.key}`);
    expect(await checkBundle(bundleOf([]), checks)).toMatchObject({ ok: true, entries: 0 });
  });

  it.each<[string, readonly (ChainedEntry | null)[], number, RegExp]>([
    [
      'its words',
      [at(1), { ...at(2), entry: { ...at(2).entry, body: { words: 'Other' } } }, at(3), at(4), at(5)],
      2,
      /altered/,
    ],
    ['who made it', [at(1), at(2), { ...at(3), entry: { ...at(3).entry, by: 'Heron' } }, at(4), at(5)], 3, /altered/],
    ['when it came', [at(1), { ...at(2), receivedAt: '2026-05-02T07:00:00.000Z' }, at(3), at(4), at(5)], 2, /altered/],
    ['what is no entry any more', [at(1), null, at(3), at(4), at(5)], 2, /altered/],
    ['one taken out', [at(1), at(2), at(4), at(5)], 3, /removed/],
    ['the first taken out', [at(2), at(3), at(4), at(5)], 1, /removed/],
    ['the last taken out', [at(1), at(2), at(3), at(4)], 5, /removed/],
    ['two changed about', [at(1), at(3), at(2), at(4), at(5)], 2, /moved/],
    ['one brought again', [at(1), at(2), at(2), at(3), at(4), at(5)], 3, /added/],
    ['one brought again at the end', [at(1), at(2), at(3), at(4), at(5), { ...at(1), number: 6 }], 6, /added/],
    ['one put between', [at(1), at(2), { ...at(3), ...signedBy(phone, 9) }, at(3), at(4), at(5)], 3, /added|altered/],
    [
      'one of another boat',
      [
        at(1),
        { ...at(2), ...signedBy(phone, 9, { boat: '6d1f0f6e-0d5c-4a55-9a0e-0000000000b2' }) },
        at(3),
        at(4),
        at(5),
      ],
      2,
      /another boat/,
    ],
    [
      'the device of another',
      [at(1), at(2), { ...at(3), entry: { ...at(3).entry, device: otherPhone.key } }, at(4), at(5)],
      3,
      /altered/,
    ],
  ])('names what was done to it: %s', async (_name, entries, number, what) => {
    const verdict = await against(entries);
    expect(verdict.ok).toBe(false);
    expect(verdict.first?.number).toBe(number);
    expect(verdict.first?.what).toMatch(what);
  });

  it('finds a change of any one character of any entry', async () => {
    for (const [index, link] of five.entries()) {
      const text = canonicalText(link);
      for (let place = 3; place < text.length; place += 41) {
        const digit = text[place] ?? '';
        const other = `${text.slice(0, place)}${digit === '1' ? '2' : '1'}${text.slice(place + 1)}`;
        let altered: ChainedEntry | null = null;
        try {
          altered = JSON.parse(other) as ChainedEntry;
        } catch {
          // No JSON any more.
        }
        if (altered && canonicalText(altered) === text) continue;
        const all = five.map((one, own) => (own === index ? altered : one));
        const read = all.map((one) => (one && entrySchema.safeParse(one.entry).success ? one : null));
        const verdict = await against(read);
        expect([verdict.ok, verdict.first?.number]).toEqual([false, index + 1]);
      }
    }
  });

  it('made anew under another key is found against the key that was kept', async () => {
    const forger = pairOf(9);
    const forged = chained([signedBy(phone, 1), signedBy(phone, 3)], forger);
    const bundle = { ...bundleOf(forged), head: headOf(forged, null, forger) };
    expect((await checkBundle(bundle, checks)).ok).toBe(true);
    expect((await checkBundle(bundle, checks, { key: yardKey.key })).ok).toBe(false);
    expect((await checkBundle(bundle, checks, { key: forger.key })).ok).toBe(true);
  });

  it('cut at its end under a new head is found against a fingerprint that was kept', async () => {
    const cut = bundleOf(five.slice(0, 3));
    expect((await checkBundle(cut, checks)).ok).toBe(true);
    expect((await checkBundle(cut, checks, { head: at(5).chainHash })).ok).toBe(false);
    expect((await checkBundle(cut, checks, { head: entryHash(at(4).entry) })).ok).toBe(false);
    expect((await checkBundle(cut, checks, { head: at(3).chainHash })).ok).toBe(true);
    expect((await checkBundle(cut, checks, { head: entryHash(at(2).entry) })).ok).toBe(true);
  });

  it('stands on under a newer key of the yard, which names the earlier one', async () => {
    const newer = pairOf(8);
    const head = headOf(five, null, newer);
    expect((await checkBundle({ ...bundleOf(five), head }, checks)).first).toMatchObject({ number: 1 });
    expect((await checkBundle({ ...bundleOf(five), head: { ...head, earlier: [yardKey.key] } }, checks)).ok).toBe(true);
  });

  it('takes no signature for good because the check broke off', async () => {
    const broken: CheckSignature = () => {
      throw new Error('no such curve');
    };
    expect((await checkBundle(bundleOf(five), broken)).first).toMatchObject({ number: 1 });
  });
});

describe('a bundle', () => {
  const job = newJob({ boatId: BOAT, batteryId: 'house' }, 'Tern');
  const picture = new Uint8Array([255, 216, 1, 2, 3]);
  const name = sha256Hex(picture);
  const pack = (pictures: ReadonlyMap<string, Uint8Array>, text: unknown = job) =>
    packBundle({ job: text, entries: five, head: headOf(five, job), photographs: pictures });
  const checked = async (bytes: Uint8Array) => {
    const read = unpackBundle(bytes);
    if (!read.ok) throw new Error(read.message);
    return checkBundle(read.bundle, checks);
  };

  it('comes out as it went in', async () => {
    const read = unpackBundle(pack(new Map([[name, picture]])));
    if (!read.ok) throw new Error(read.message);
    expect(read.bundle.entries).toEqual(five);
    expect(read.photographs.get(name)).toEqual(picture);
    expect(hashOf(read.bundle.job)).toBe(hashOf(job));
    expect((await checkBundle(read.bundle, checks)).ok).toBe(true);
  });

  it('tells of another job and of another picture', async () => {
    expect((await checked(pack(new Map(), { ...job, wells: [] }))).words).toMatch(/job file/);
    expect((await checked(pack(new Map([[name, new Uint8Array([1])]])))).words).toMatch(/photograph .* altered/);
  });

  it('that is none, was cut short or lacks its records is refused in words', () => {
    for (const bytes of [new Uint8Array(), new Uint8Array([0x50, 0x4b, 3, 4]), pack(new Map()).slice(0, 300)])
      expect(unpackBundle(bytes)).toMatchObject({ ok: false, code: 'not-a-bundle' });
  });

  it('over its bounds is refused', () => {
    expect(unpackBundle(pack(new Map([[name, new Uint8Array(5 * 1024 * 1024 + 1)]])))).toMatchObject({
      ok: false,
      code: 'too-large',
    });
    expect(unpackBundle(pack(new Map([[name, new Uint8Array(5 * 1024 * 1024)]]))).ok).toBe(true);
    const many = Array.from({ length: 20_001 }, () => at(1));
    expect(
      unpackBundle(packBundle({ job, entries: many, head: headOf(five, job), photographs: new Map() })),
    ).toMatchObject({
      ok: false,
      code: 'too-large',
    });
  });
});

describe('what an entry says', () => {
  it('is checked by its kind, and left alone where the kind is of a later release', () => {
    const count = { day: '2026-05-01', days: 1, starts: 4 };
    expect(bodyProblems({ kind: 'runCount', body: count })).toEqual([]);
    expect(bodyProblems({ kind: 'runCount', body: { ...count, runS: 86_400 } })).toEqual([]);
    expect(bodyProblems({ kind: 'runCount', body: { ...count, runS: 86_401 } })[0]).toMatchObject({
      path: ['body', 'runS'],
    });
    expect(bodyProblems({ kind: 'runCount', body: { ...count, starts: 1.5 } })).toHaveLength(1);
    expect(bodyProblems({ kind: 'runCount', body: { ...count, more: 1 } })).toHaveLength(1);
    const later = { kind: 'towed', body: { far: 3 } };
    expect(bodyProblems(later)).toEqual([]);
    expect(entryInWords(signedBy(phone, 1, later).entry)).toBe('An entry of a newer release (towed)');
  });

  it('counts no more once it was taken back, and stands in the order in which it was made', () => {
    const [one, two, three] = [3, 1, 2].map((index) => signedBy(phone, index).entry);
    if (!one || !two || !three) throw new Error('no entries');
    const back = signedBy(phone, 7, { kind: 'withdrawn', body: { entry: three.id } }).entry;
    expect(standing([one, two, three, back]).map(({ id }) => id)).toEqual([two.id, one.id]);
  });
});
