import type { Page } from '@playwright/test';

/** A photo of something green and a bank card on a dark ground, at 4 px a mm: PNG. `outline` in px from the upper left. */
export async function photoWithCard(
  page: Page,
  outline: readonly (readonly [x: number, y: number])[],
): Promise<Buffer> {
  const address = await page.evaluate((points) => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [1200, 900];
    const context = canvas.getContext('2d')!;
    context.fillStyle = '#46413d';
    context.fillRect(0, 0, 1200, 900);
    context.fillStyle = '#5d9440';
    context.beginPath();
    for (const [x, y] of points) context.lineTo(x, y);
    context.fill();
    context.translate(800, 500);
    context.rotate(0.2);
    context.fillStyle = '#f2efe6';
    context.fillRect(0, 0, 342.4, 216);
    return canvas.toDataURL('image/png');
  }, outline);
  return Buffer.from(address.split(',')[1]!, 'base64');
}
