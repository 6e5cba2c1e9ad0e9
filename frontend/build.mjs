// Builds what the application ships: one style sheet and four font files, under web/src/main/resources/static, and the same fonts unpacked for what is
// printed as PDF.
import { execFileSync } from 'node:child_process';
import { copyFileSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { transform } from 'lightningcss';
import { decompress } from 'wawoff2';

const here = dirname(fileURLToPath(import.meta.url));
const statics = join(here, '..', 'web', 'src', 'main', 'resources', 'static');
const prints = join(here, '..', 'web', 'src', 'main', 'resources', 'io', 'causticon', 'web', 'shared', 'print');
const modules = join(here, 'node_modules');

const FONTS = {
  '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2': 'text.woff2',
  '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-wght-normal.woff2': 'text-ext.woff2',
  '@fontsource/ibm-plex-mono/files/ibm-plex-mono-latin-400-normal.woff2': 'figures.woff2',
  '@fontsource/ibm-plex-mono/files/ibm-plex-mono-latin-600-normal.woff2': 'figures-bold.woff2',
};

mkdirSync(join(statics, 'fonts'), { recursive: true });
mkdirSync(join(statics, 'css'), { recursive: true });
for (const [from, to] of Object.entries(FONTS)) {
  copyFileSync(join(modules, from), join(statics, 'fonts', to));
}
mkdirSync(prints, { recursive: true });
for (const font of ['text', 'text-ext', 'figures']) {
  writeFileSync(join(prints, `${font}.ttf`), await decompress(readFileSync(join(statics, 'fonts', `${font}.woff2`))));
}
execFileSync(
  join(modules, '.bin', 'tailwindcss'),
  ['--input', join(here, 'src', 'app.css'), '--output', join(statics, 'css', 'app.css'), '--minify'],
  { stdio: ['ignore', 'ignore', 'inherit'], cwd: here },
);

// What is drawn leaves the screen without the page around it: its styles by day, with every colour worked out.
const tokens = readFileSync(join(here, 'src', 'tokens.css'), 'utf8');
const byDay = new Map([...tokens.split(':root[data-theme')[0].matchAll(/(--[a-z0-9-]+):\s*([^;]+);/g)].map(([, name, value]) => [name, value]));
const drawing = readFileSync(join(here, 'src', 'drawing.css'), 'utf8').replace(/var\((--[a-z0-9-]+)\)/g, (whole, name) => byDay.get(name) ?? whole);
const { code } = transform({ filename: 'drawing.css', code: Buffer.from(drawing), minify: false, targets: { chrome: 80 << 16 } });
// Flat, as it is read by a program that knows no conditions.
writeFileSync(join(prints, 'drawing.css'), code.toString().replace(/@(?:supports|media)[^{]*\{(?:[^{}]*\{[^{}]*\})*[^{}]*\}\n*/g, ''));
