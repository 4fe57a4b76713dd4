import { z } from 'zod';
import type { Scale } from '@/core/scale/scale';
import { SCALE_CHANNEL } from '@/workers/scale-channel';

const reading = z.strictObject({ grams: z.number(), atMs: z.number() });

/** The simulated scale, on a page of its own in the same browser. */
export const broadcastScale: Scale = (onReading) => {
  const channel = new BroadcastChannel(SCALE_CHANNEL);
  channel.onmessage = ({ data }: MessageEvent<unknown>) => {
    const heard = reading.safeParse(data);
    if (heard.success) onReading(heard.data);
  };
  return () => channel.close();
};
