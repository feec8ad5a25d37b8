// @ts-check
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { root } from './lib/paths.mjs';
import { say } from './lib/say.mjs';

const folder = join(root, 'web/public');
const pot = readFileSync(join(folder, 'pot.svg'));
const GROUND = '#f3efe6';

/** Icons of the installed application: how wide each is, and which share of it the pot takes. A maskable one is cut round by some phones. */
const icons = [
  { file: 'pot-192.png', side: 192, share: 0.86 },
  { file: 'pot-512.png', side: 512, share: 0.86 },
  { file: 'pot-maskable-512.png', side: 512, share: 0.58 },
];

for (const { file, side, share } of icons) {
  const wide = Math.round(side * share);
  const drawn = await sharp(pot, { density: (72 * wide) / 32 })
    .resize(wide, wide)
    .toBuffer();
  await sharp({ create: { width: side, height: side, channels: 3, background: GROUND } })
    .composite([{ input: drawn }])
    .png({ compressionLevel: 9, palette: true })
    .toFile(join(folder, file));
  say(`${file}: ${side} × ${side}`);
}
