import { roomAir, type RoomSensor } from '@/core/run/room-sensor';
import { z } from 'zod';

/** Where the simulated room sensor of this browser tells its readings. */
export const ROOM_CHANNEL = 'keen-spiral-room';

const reading = roomAir.extend({ atMs: z.number() });

/** The simulated room sensor, on a page of its own in the same browser. */
export const broadcastRoomSensor: RoomSensor = (onReading) => {
  const channel = new BroadcastChannel(ROOM_CHANNEL);
  channel.onmessage = ({ data }: MessageEvent<unknown>) => {
    const heard = reading.safeParse(data);
    if (heard.success) onReading(heard.data);
  };
  return () => channel.close();
};
