import { chromium } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { root } from './steps.mjs';

/** Draws the photos of the demo, so that none shows a real place, part or person: `node scripts/demoPhotos.mjs`. */

const metal = (id, light, dark) =>
  `<linearGradient id="${id}" x2="0" y2="1"><stop stop-color="${dark}"/><stop offset=".35" stop-color="${light}"/><stop offset="1" stop-color="${dark}"/></linearGradient>`;
const paints = `<defs>${metal('nickel', '#f2f4f5', '#7c858c')}${metal('brass', '#f3dd9a', '#8d6a24')}${metal('jacket', '#4a5056', '#15181b')}${metal('rubber', '#3c4145', '#0d0f10')}${metal('copper', '#f0b28c', '#7a3f20')}</defs>`;
const tube = (x, y, width, height, paint) =>
  `<rect x="${x}" y="${y - height / 2}" width="${width}" height="${height}" rx="4" fill="url(#${paint})"/>`;
const knurls = (x, y, width, height) =>
  Array.from(
    { length: Math.floor(width / 9) },
    (_, k) =>
      `<path d="M${x + 4 + k * 9} ${y - height / 2}v${height}" stroke="#5d666d" stroke-width="2" opacity=".6"/>`,
  ).join('');
const label = (x, y, lines) =>
  `<rect x="${x}" y="${y}" width="176" height="${22 + lines.length * 22}" fill="#fdfdf6" stroke="#98a098"/>${lines.map((line, k) => `<text x="${x + 10}" y="${y + 27 + k * 22}" font-family="sans-serif" font-size="17" fill="#20262b">${line}</text>`).join('')}`;
const ground = (top, bottom) =>
  `<linearGradient id="back" x2="0" y2="1"><stop stop-color="${top}"/><stop offset="1" stop-color="${bottom}"/></linearGradient><rect width="800" height="600" fill="url(#back)"/>`;

const pictures = {
  'uhf-plug-on-bench': `${ground('#c9b48f', '#a98e62')}
    ${tube(0, 300, 420, 92, 'jacket')}${tube(400, 300, 60, 98, 'nickel')}${tube(452, 300, 150, 168, 'nickel')}${knurls(452, 300, 150, 168)}
    ${tube(598, 300, 44, 118, 'nickel')}${tube(640, 300, 74, 30, 'brass')}${label(90, 420, ['Hut jumper', 'radio end'])}`,
  'n-plug-braid-out': `${ground('#b9c1c4', '#8d989d')}
    ${tube(0, 290, 360, 96, 'jacket')}${tube(352, 290, 56, 104, 'nickel')}
    ${Array.from({ length: 9 }, (_, k) => `<path d="M350 ${246 + k * 11} q-60 ${-34 + k * 8} -${70 + k * 9} ${-70 + k * 18}" stroke="#c98a62" stroke-width="3" fill="none"/>`).join('')}
    ${tube(404, 290, 130, 132, 'nickel')}${knurls(404, 290, 130, 132)}${tube(530, 290, 120, 108, 'nickel')}${tube(648, 290, 30, 16, 'brass')}
    <circle cx="300" cy="262" r="70" fill="none" stroke="#b3261e" stroke-width="6"/>${label(500, 440, ['Mast cable', 'antenna end: again'])}`,
  'entry-bar': `${ground('#d9d4c8', '#b5aea0')}
    ${Array.from({ length: 7 }, (_, k) => `<path d="M0 ${60 + k * 92}h800" stroke="#a39b8b" stroke-width="3"/>`).join('')}
    <rect x="90" y="250" width="620" height="70" fill="url(#copper)"/>
    ${[140, 260, 380, 500, 620].map((x) => `<circle cx="${x + 20}" cy="285" r="19" fill="url(#nickel)" stroke="#5d666d" stroke-width="3"/>`).join('')}
    ${[160, 400].map((x) => `<path d="M${x} 285v-290" stroke="#1c2125" stroke-width="30"/>`).join('')}
    <path d="M640 285v330" stroke="#6fa05a" stroke-width="34"/><path d="M640 285v330" stroke="#e8d85a" stroke-width="10"/>${label(180, 420, ['Entry bar', '16 mm² to the rod'])}`,
};

/** Without the colour profile the browser puts in (segment APP2): a picture without one is sRGB anyway. */
function withoutProfile(jpeg) {
  const kept = [jpeg.subarray(0, 2)];
  let at = 2;
  while (jpeg[at + 1] >= 0xe0 && jpeg[at + 1] <= 0xef) {
    const end = at + 2 + jpeg.readUInt16BE(at + 2);
    if (jpeg[at + 1] !== 0xe2) kept.push(jpeg.subarray(at, end));
    at = end;
  }
  return Buffer.concat([...kept, jpeg.subarray(at)]);
}

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage({ viewport: { width: 800, height: 600 } });
for (const [name, drawing] of Object.entries(pictures)) {
  await page.setContent(
    `<style>body{margin:0}</style><svg xmlns="http://www.w3.org/2000/svg" width="800" height="600">${paints}${drawing}</svg>`,
  );
  writeFileSync(
    `${root}server/demo/${name}.jpg`,
    withoutProfile(await page.screenshot({ type: 'jpeg', quality: 70 })),
  );
}
await browser.close();
