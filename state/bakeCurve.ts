import { useEffect, useState } from 'react';
import type { OvenQuestion } from '../core/plan';
import type { BakeCurve } from '../core/process/bakeCurve';
import { askOven } from '../workers/ovenModel';
import { useAsks } from './sumsLost';

/** The curve of the coldest place for a plan, once the worker has answered; null until then, and where it cannot. */
export function useBakeCurve({ input, factor }: OvenQuestion): BakeCurve | null {
  const [curve, setCurve] = useState<{ readonly key: string; readonly curve: BakeCurve } | null>(null);
  const key = JSON.stringify([input, factor]);
  const asks = useAsks();
  useEffect(() => {
    let wanted = true;
    const [asked, by] = JSON.parse(key) as [OvenQuestion['input'], number];
    askOven(asked, by).then(
      (answer) => {
        // An answer to a question of before is let go: figures have moved on.
        if (wanted) setCurve({ key, curve: answer });
      },
      () => {
        if (wanted) setCurve(null);
      },
    );
    return () => {
      wanted = false;
    };
  }, [key, asks]);
  return curve?.key === key ? curve.curve : null;
}
