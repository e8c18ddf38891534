import { readPhoto } from '@harbor-latch/core/wire/photograph';
import { expect, test } from '../journey';
import { addPhotographs, cameraPhotograph } from '../photograph';
import { onDevice } from '../signal';
import { addBoat, demoBoat, open, placesOf, storedBoat } from '../yard';

const jpeg = (name: string, buffer: Buffer) => ({ name, mimeType: 'image/jpeg', buffer });

test('a photograph is turned, shrunk, stripped and hung on the boat; its note stays, it comes off and back', async ({
  page,
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'Seen'));
  await open(page, placesOf(job).boat, 'Seen');
  await addPhotographs(page, [
    jpeg('bilge.jpg', await cameraPhotograph(page)),
    { name: 'notes.heic', mimeType: 'image/heic', buffer: Buffer.from('no picture at all') },
  ]);
  await expect(page.getByText(/notes\.heic cannot be read as a picture here/)).toBeVisible();
  const first = page.getByRole('button', { name: /^Open photograph 1 of 1/ });
  await first.click();
  await expect(page.getByRole('dialog', { name: 'Photograph 1 of 1' })).toBeVisible();
  await page.getByLabel('What is to be seen').fill('Float and pump, before work');
  await expect(page.getByRole('img', { name: 'Float and pump, before work' })).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: /Float and pump, before work$/ })).toBeVisible();

  await expect
    .poll(async () => (await storedBoat(request, job.boat.id)).job.photographs?.[0]?.note)
    .toBe('Float and pump, before work');
  const [hung] = (await storedBoat(request, job.boat.id)).job.photographs ?? [];
  for (const [id, side] of [
    [hung?.photo, 1600],
    [hung?.small, 240],
  ] as const) {
    await expect.poll(async () => (await request.get(`/api/photos/${id}`)).status()).toBe(200);
    const read = readPhoto(new Uint8Array(await (await request.get(`/api/photos/${id}`)).body()));
    // It lay on its side: now it stands.
    expect(read).toEqual({ widthPx: (side * 3) / 4, heightPx: side, bare: true });
  }

  await page.getByRole('button', { name: /^Open photograph 1 of 1/ }).click();
  await page.getByRole('button', { name: 'Take it off' }).click();
  await expect(page.getByText('None yet. Worth one before work begins', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('button', { name: /^Open photograph 1 of 1/ })).toBeVisible();
});

test('a photograph taken without a signal is seen without one, and is sent once later; another phone sees it', async ({
  phone: { signal, device },
  page: other,
  request,
}) => {
  const job = await addBoat(request, demoBoat('pinnock', 'In the dark'));
  const page = await device.newPage();
  await open(page, `${signal.address}${placesOf(job).survey}`, 'Bilge pump');
  await onDevice(page);
  await signal.cut();
  await addPhotographs(page, [jpeg('plate.jpg', await cameraPhotograph(page, 900, 700))]);
  await expect(page.getByText('1 photograph of this boat waits to be sent')).toBeVisible();
  await page.close();
  const again = await device.newPage();
  await open(again, `${signal.address}${placesOf(job).survey}`, 'Bilge pump');
  await again.getByRole('button', { name: /^Open photograph 1 of 1/ }).click();
  await expect(again.getByRole('img', { name: 'Photograph 1 of 1' })).toBeVisible();
  await again.getByRole('button', { name: 'Done' }).click();
  await signal.mend();
  await expect(again.getByText('1 photograph of this boat waits to be sent')).toBeHidden({ timeout: 30_000 });
  const [hung] = (await storedBoat(request, job.boat.id)).job.photographs ?? [];
  expect(hung?.circuitId).toBe(job.circuits[0]?.id);

  await open(other, placesOf(job).survey, 'Bilge pump');
  await other.getByRole('button', { name: /^Open photograph 1 of 1/ }).click();
  await expect(other.getByRole('img', { name: 'Photograph 1 of 1' })).toBeVisible();
});
