import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const css = readFileSync(join(__dirname, '../../../styles/tokens.css'), 'utf8');

const tokensOf = (selector: string): Record<string, string> => {
  const block = css.slice(css.indexOf(`${selector} {`)).split('}')[0] ?? '';
  return Object.fromEntries(
    [...block.matchAll(/--([\w-]+): (#[0-9a-f]{6});/g)].map(([, name, value]) => [name, value]),
  );
};

const light = tokensOf(':root');
const dark = { ...light, ...tokensOf(':root.dark') };

// Source of both formulas: WCAG 2.1, relative luminance and contrast ratio.
const luminance = (hex: string): number => {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const channel = parseInt(hex.slice(at, at + 2), 16) / 255;
    return channel <= 0.03928 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
};
const contrast = (a: string, b: string): number => {
  const [high = 0, low = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (high + 0.05) / (low + 0.05);
};

const TEXT_ON_GROUND = [
  ['ink', 'paper'], ['ink', 'sheet'], ['ink', 'field'], ['ink', 'plum-wash'],
  ['ink-2', 'paper'], ['ink-2', 'sheet'], ['ink-2', 'field'], ['ink-2', 'plum-wash'],
  ['ink-3', 'sheet'], ['amber-ink', 'sheet'], ['amber-ink', 'amber-wash'], ['amber-ink', 'plum-wash'],
  ['good', 'good-wash'], ['bad', 'bad-wash'], ['bad', 'sheet'], ['plum-ink', 'plum-wash'],
  ['on-primary', 'primary'], ['on-primary', 'primary-2'], ['on-primary-2', 'primary'],
  ['on-plum', 'plum'], ['on-plum', 'plum-2'], ['on-plum-2', 'plum'],
] as const; // prettier-ignore

describe.each([
  ['light', light],
  ['dark', dark],
])('the %s theme', (_name, tokens) => {
  it.each(TEXT_ON_GROUND)('keeps %s on %s at 4.5:1 or more', (text, ground) => {
    expect(contrast(tokens[text] ?? '', tokens[ground] ?? '')).toBeGreaterThanOrEqual(4.5);
  });

  it.each(['asset', 'liability', 'equity', 'revenue', 'expense'])(
    'keeps the mark of %s at 3:1 or more on the sheet',
    (element) => {
      expect(contrast(tokens[element] ?? '', tokens['sheet'] ?? '')).toBeGreaterThanOrEqual(3);
    },
  );
});
