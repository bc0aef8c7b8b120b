import { useEffect, useState } from 'react';

/** The time in ms, renewed every so many ms, on the whole multiple of them. */
export function useNow(everyMs: number): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const tick = () => {
      setNow(Date.now());
      timer = setTimeout(tick, everyMs - (Date.now() % everyMs));
    };
    timer = setTimeout(tick, everyMs - (Date.now() % everyMs));
    return () => clearTimeout(timer);
  }, [everyMs]);
  return now;
}
