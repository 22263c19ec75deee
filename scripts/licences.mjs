import { readFileSync } from 'node:fs';
import path from 'node:path';

const root = path.resolve(import.meta.dirname, '..');

/** What the packages that go out with the application may be under: all of it permissive. */
const ALLOWED = [
  '0BSD',
  'Apache-2.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'BSL-1.0',
  'BlueOak-1.0.0',
  'CC0-1.0',
  'ISC',
  'MIT',
  'OFL-1.1',
  'Python-2.0',
  'Unlicense',
];

/** One licence of several offered is enough; of several that hold together each has to be allowed. */
function isAllowed(licence) {
  const plain = licence.replaceAll(/[()]/g, '');
  return plain
    .split(' OR ')
    .some((offered) => offered.split(' AND ').every((each) => ALLOWED.includes(each.trim())));
}

/** The production packages of the lock file whose licence is not on the list. */
export function checkLicences() {
  const { packages } = JSON.parse(readFileSync(path.join(root, 'package-lock.json'), 'utf8'));
  return Object.entries(packages).flatMap(([name, { dev, link, license, devOptional }]) => {
    if (!name.includes('node_modules/') || dev || devOptional || link) return [];
    return typeof license === 'string' && isAllowed(license) ? [] : [`${name} (${license})`];
  });
}
