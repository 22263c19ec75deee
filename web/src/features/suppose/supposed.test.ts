import { plainContext } from '@bradyon/core/timing';
import { describe, expect, it } from 'vitest';
import { supposedOf } from './supposed.ts';

const delivery = { ...plainContext('delivery'), style: 'legLift' } as const;
const typed = (text: string) => supposedOf({ text, leadFeet: null }, delivery);

describe('a time that is typed over', () => {
  it('is read as a coach types it', () => {
    expect(typed('1.41').seconds).toBe(1.41);
    expect(typed('141').seconds).toBe(1.41);
    expect(typed('1,4').seconds).toBe(1.4);
  });

  it('counts for nothing while it is empty or half typed, and says what to enter when it is wrong', () => {
    expect(typed('  ')).toMatchObject({ seconds: undefined, problem: null });
    expect(supposedOf(undefined, delivery)).toMatchObject({ text: '', seconds: undefined });
    expect(typed('fast').problem).toBe('Enter seconds, like 1.41 or 141.');
    expect(typed('fast').seconds).toBeUndefined();
    expect(typed('14').seconds).toBeUndefined();
    expect(typed('14').problem).toContain('Enter a time from');
  });

  it('keeps the lead that it was typed for', () => {
    const steal = { ...plainContext('steal'), base: 'second', leadFeet: 13 } as const;
    expect(supposedOf({ text: '3.45', leadFeet: 11.5 }, steal).leadFeet).toBe(11.5);
  });
});
