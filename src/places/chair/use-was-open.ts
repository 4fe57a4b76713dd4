import { useState } from 'react';

/** Whether something is open, or was: it stays, so that what was typed in it is there when it is opened again. */
export function useWasOpen(isOpen: boolean): boolean {
  const [was, setWas] = useState(isOpen);
  if (isOpen && !was) setWas(true);
  return was || isOpen;
}
