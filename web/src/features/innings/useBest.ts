import { useEffect, useRef, useState } from 'react';
import type { BestAnswer, BestQuestion } from './best.worker.ts';

/** Asks the worker for the best choices; null while the first answer is on its way. */
export function useBest(question: Omit<BestQuestion, 'serial'>): BestAnswer | null {
  const worker = useRef<Worker | null>(null);
  const serial = useRef(0);
  const [answer, setAnswer] = useState<BestAnswer | null>(null);
  const asked = JSON.stringify(question);
  useEffect(() => {
    const own = new Worker(new URL('best.worker.ts', import.meta.url), { type: 'module' });
    own.addEventListener('message', ({ data }: MessageEvent<BestAnswer>) => {
      // An answer that was overtaken is not shown.
      if (data.serial === serial.current) setAnswer(data);
    });
    worker.current = own;
    return () => {
      own.terminate();
    };
  }, []);
  useEffect(() => {
    serial.current += 1;
    const parsed = JSON.parse(asked) as Omit<BestQuestion, 'serial'>;
    worker.current?.postMessage({ ...parsed, serial: serial.current });
  }, [asked]);
  return answer;
}
