import type { Page } from '@playwright/test';

/** A comment of application data that says where and with what a picture was taken, and that it lies on its side. */
function exif(): Buffer {
  const tiff = Buffer.alloc(26);
  tiff.write('MM\0*', 0, 'latin1');
  tiff.writeUInt32BE(8, 4);
  tiff.writeUInt16BE(1, 8);
  // Orientation, one short: 6, its top is to the right.
  tiff.writeUInt16BE(0x0112, 10);
  tiff.writeUInt16BE(3, 12);
  tiff.writeUInt32BE(1, 14);
  tiff.writeUInt16BE(6, 18);
  const body = Buffer.concat([Buffer.from('Exif\0\0', 'latin1'), tiff, Buffer.from('QUILLAN REACH 50.1 N', 'latin1')]);
  const head = Buffer.alloc(4);
  head.writeUInt16BE(0xffe1, 0);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([head, body]);
}

/** A photograph as a phone's camera makes it: large, lying on its side, and telling where it was taken. */
export async function cameraPhotograph(page: Page, width = 2400, height = 1800): Promise<Buffer> {
  const bytes = await page.evaluate(
    async ([wide, high]) => {
      const canvas = new OffscreenCanvas(wide ?? 1, high ?? 1);
      const pen = canvas.getContext('2d');
      if (!pen) throw new Error('No canvas.');
      const shade = pen.createLinearGradient(0, 0, canvas.width, canvas.height);
      shade.addColorStop(0, '#7fa6b8');
      shade.addColorStop(1, '#2c3b33');
      pen.fillStyle = shade;
      pen.fillRect(0, 0, canvas.width, canvas.height);
      pen.fillStyle = '#c8642e';
      pen.fillRect(canvas.width * 0.2, canvas.height * 0.35, canvas.width * 0.35, canvas.height * 0.3);
      const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
      return [...new Uint8Array(await blob.arrayBuffer())];
    },
    [width, height],
  );
  const jpeg = Buffer.from(bytes);
  return Buffer.concat([jpeg.subarray(0, 2), exif(), jpeg.subarray(2)]);
}

/** Adds files as photographs by the page's own button. */
export async function addPhotographs(
  page: Page,
  files: readonly { readonly name: string; readonly mimeType: string; readonly buffer: Buffer }[],
): Promise<void> {
  const choosing = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Add photographs' }).filter({ visible: true }).click();
  await (await choosing).setFiles([...files]);
}
