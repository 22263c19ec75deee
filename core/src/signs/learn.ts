import type { SignSystem } from './system.ts';

/** What a player has to keep in mind, item by item. Judgement, all of it. */
const ITEMS = {
  pair: 1,
  list: 1,
  listEntry: 0.5,
  counting: 1,
  stop: 1,
  digit: 0.25,
  card: 1,
  indicator: 1,
  rotation: 1,
  key: 0.5,
  keyFirst: 0.5,
  oddOffset: 0.5,
  modifier: 1.5,
  situational: 2,
  wipe: 0.5,
  lastCounts: 0.5,
  /** A sequence is about eight touches, one more than is easy to follow. */
  span: 0.25,
} as const;

/** Who can carry so much, the youngest first. */
const TIERS = [
  { tier: 'youngest', most: 5 },
  { tier: 'under 12', most: 8 },
  { tier: 'under 14', most: 12 },
  { tier: 'high school', most: 16 },
] as const;
type Tier = (typeof TIERS)[number]['tier'] | 'older';

export interface Load {
  items: number;
  parts: Record<string, number>;
  tier: Tier;
}

/** How much a system asks of a player, and from what age it fits. */
export function loadOf({
  scheme,
  indicator,
  modifiers,
  situational,
  wipe,
  occurrence,
}: SignSystem): Load {
  const parts: Record<string, number> = {};
  const add = (name: string, value: number): void => {
    if (value > 0) parts[name] = (parts[name] ?? 0) + value;
  };
  switch (scheme.kind) {
    case 'direct':
      add('pairs', scheme.map.length * ITEMS.pair);
      break;
    case 'indicator':
      add('pairs', scheme.map.length * ITEMS.pair);
      if (scheme.offset !== 1) add('offset', ITEMS.oddOffset);
      break;
    case 'count':
      add('list', ITEMS.list + scheme.list.length * ITEMS.listEntry);
      add('counting', ITEMS.counting);
      if (scheme.until !== 'end') add('stop', ITEMS.stop);
      break;
    case 'sum':
      add('digits', scheme.values.length * ITEMS.digit);
      add('counting', ITEMS.counting);
      add('list', scheme.table.length * ITEMS.pair);
      break;
    case 'card':
      add('digits', scheme.values.length * ITEMS.digit);
      add('counting', ITEMS.counting);
      add('card', ITEMS.card);
      break;
  }
  const hot =
    indicator.kind === 'none'
      ? 0
      : indicator.kind === 'fixed'
        ? 1
        : indicator.kind === 'keyTouch'
          ? indicator.keys.length + 1
          : indicator.touches.length;
  add('indicator', hot * ITEMS.indicator);
  if (indicator.kind === 'byInning' || indicator.kind === 'byOuts') add('rotation', ITEMS.rotation);
  if (indicator.kind === 'keyTouch')
    add('rotation', ITEMS.rotation + ITEMS.keyFirst + indicator.keys.length * ITEMS.key);
  add('modifiers', modifiers.length * ITEMS.modifier);
  add('situational', situational.length * ITEMS.situational);
  if (wipe) add('wipe', ITEMS.wipe);
  if (occurrence === 'last') add('lastCounts', ITEMS.lastCounts);
  add('span', ITEMS.span);
  const items = Object.values(parts).reduce((sum, value) => sum + value, 0);
  return { items, parts, tier: TIERS.find(({ most }) => items <= most)?.tier ?? 'older' };
}
