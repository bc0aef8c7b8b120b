import { Suspense, useEffect, useState } from 'react';
import { useScreen } from '../../state/store';
import { Sheet } from '../../ui/sheet';
import { Whole } from '../shell/Whole';
import { Small } from '../../ui/text';
import { later } from '../later';
import { isLarge, textOf } from './textOf';

const BringForm = later('BringForm');

/** Brings in a run, a formula, a kitchen: dropped anywhere on the page, pasted, or picked. */
export function BringIn() {
  const open = useScreen((state) => state.bringing);
  const setOpen = useScreen((state) => state.setBringing);
  const [dropped, setDropped] = useState<string | File | null>(null);
  useEffect(() => {
    const over = (event: DragEvent) => {
      if (event.dataTransfer?.types.some((type) => type === 'Files' || type === 'text/plain'))
        event.preventDefault();
    };
    const drop = (event: DragEvent) => {
      const [file] = event.dataTransfer?.files ?? [];
      const text = event.dataTransfer?.getData('text/plain');
      if (!file && !text) return;
      event.preventDefault();
      setOpen(true);
      if (file && isLarge(file)) setDropped(file);
      else if (file) void textOf(file).then(setDropped);
      else setDropped(text ?? null);
    };
    window.addEventListener('dragover', over);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', over);
      window.removeEventListener('drop', drop);
    };
  }, [setOpen]);
  return (
    <Sheet broad title="Bring in" visible={open} onClose={() => setOpen(false)}>
      {open ? (
        <Suspense fallback={<Small>One moment.</Small>}>
          <Whole>
            <BringForm
              key={dropped instanceof File ? dropped.name : (dropped ?? '')}
              start={dropped}
              onDone={() => {
                setDropped(null);
                setOpen(false);
              }}
            />
          </Whole>
        </Suspense>
      ) : null}
    </Sheet>
  );
}
