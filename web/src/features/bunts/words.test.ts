import type { BuntPlan, PricedAim } from '@bradyon/core/bunts';
import { describe, expect, it } from 'vitest';
import { playsFor } from './useBunt.ts';
import {
  againstText,
  fieldedText,
  paceText,
  planWords,
  rangeText,
  showWords,
  sideText,
  textbookWords,
  thrownText,
} from './words.ts';

const aim = (parts: Partial<PricedAim> = {}): PricedAim => ({
  degrees: 75,
  speed: 30,
  rollFeet: 29,
  fair: 0.6,
  foul: 0.3,
  fairValue: 0.7,
  leadOut: 0.1,
  batterOut: 0.8,
  doublePlay: 0,
  fairShare: 0.8,
  leadOutShare: 0.08,
  valueShare: 0.5,
  value: 0.6,
  ...parts,
});
const plan = (swing: number): Pick<BuntPlan, 'best' | 'swing' | 'run'> => ({
  best: aim(),
  swing,
  run: 0.1,
});

describe('the words of a bunt', () => {
  it('say where, how hard and what it is worth, or to swing, or that nobody can tell', () => {
    expect(planWords(plan(0.589), 'baseball', 'win')).toEqual({
      call: 'Third-base side',
      why: 'Soft, about 30\u00a0ft: +1.1 points over swinging.',
      bunts: true,
    });
    expect(planWords(plan(0.65), 'baseball', 'win')).toMatchObject({
      call: 'Swing away',
      bunts: false,
    });
    expect(planWords(plan(0.6005), 'baseball', 'win').call).toBe('Too close to call');
    expect(againstText(-0.05, 'win')).toBe('5.0 points worse than swinging');
    expect(againstText(0.05, 'runs')).toBe('+.05 runs over swinging');
  });

  it('know sides and paces, by the size of the field', () => {
    expect([80, 45, 10].map(sideText)).toEqual([
      'Third-base side',
      'Up the middle',
      'First-base side',
    ]);
    expect([20, 30, 45].map((feet) => paceText(feet, 'baseball'))).toEqual([
      'dead',
      'soft',
      'firm',
    ]);
    expect(paceText(20, 'softball')).toBe('firm');
  });

  it('give chances as ranges that stay within 0 and 100', () => {
    expect(rangeText(0.02)).toBe('0–10%');
    expect(rangeText(0.5)).toBe('42–58%');
    expect(rangeText(0.97)).toBe('89–100%');
  });

  it('say why the usual lane loses, and that it still protects the lead runner', () => {
    const here = { run: 1, by: 'runs', forced: true } as const;
    const worse = aim({ value: 0.5, leadOut: 0.3, fair: 0.5 });
    expect(textbookWords('firstFirm', worse, aim(), here)).toBe(
      'The usual lane, first side, firm, is worth .10 runs less here: it gets the lead runner out more often, and it rolls foul more often.',
    );
    const safer = aim({ value: 0.5, leadOut: 0.01, batterOut: 0.9 });
    expect(textbookWords('firstFirm', safer, aim(), here)).toContain('protect the lead runner');
    expect(textbookWords('firstFirm', aim({ value: 0.595 }), aim(), here)).toContain('as good');
  });

  it('name who fields it and where it is thrown, the likeliest first', () => {
    expect(fieldedText({ P: 0.3, '3B': 0.66, C: 0.04 })).toBe('third baseman 66%, pitcher 30%');
    expect(thrownText({ 1: 0.7, 2: 0.25, 3: 0, 4: 0 })).toBe(
      'The throw goes to first, sometimes to second (25%).',
    );
    expect(thrownText({ 1: 0, 2: 0, 3: 0, 4: 0 })).toBe('Nobody can be thrown out.');
  });
});

describe('the bunts that are offered', () => {
  const right = { sport: 'softball', bats: 'right' } as const;

  it('fit the bases, the outs and the side of the plate', () => {
    expect(playsFor(1, 0, right)).toEqual(['sacrifice', 'hit']);
    expect(playsFor(5, 1, { ...right, sport: 'baseball' })).toEqual(['safety', 'suicide', 'hit']);
    expect(playsFor(4, 2, right)).toEqual(['hit']);
    expect(playsFor(0, 0, { ...right, bats: 'left' })).toEqual(['hit', 'slap']);
    expect(playsFor(0, 0, { sport: 'baseball', bats: 'left' })).toEqual(['hit']);
  });

  it('says when to show, or that it hardly matters', () => {
    expect(showWords({ early: 0.012, release: 0.014, late: -0.003 }, 'win')).toBe(
      'Before the pitch +1.2, as it is let go +1.4, later −0.3 against swinging. Best: as it is let go.',
    );
    expect(showWords({ early: 0.021, release: 0.02, late: 0.0205 }, 'runs')).toContain(
      'It hardly matters.',
    );
  });
});
