'use client';
import { useEffect, useRef, useState } from 'react';
import { USUAL_ROOM } from '@/core/formats/ranges';
import type { RoomAir, RoomReading } from '@/core/run/room-sensor';
import { simulatedReading, TELLS_EVERY_MS } from '@/core/run/simulated-room-sensor';
import { AirFields } from '@/ui/fields/air-fields';
import { formatPercent, formatTemperature } from '@/ui/format';
import { Part } from '@/ui/shell/page';
import { useUnits } from '@/ui/units-context';
import { ROOM_CHANNEL } from './room-sensor';
import styles from './scale-device.module.css';

/** A thermometer and hygrometer that pretend: they tell the chair what they read, never quite right, and miss some. */
export function RoomDevice({ seed }: { readonly seed: number }) {
  const { units } = useUnits();
  const [air, setAir] = useState<RoomAir>(USUAL_ROOM);
  const [last, setLast] = useState<RoomReading | null>(null);
  const now = useRef(air);
  useEffect(() => {
    now.current = air;
  }, [air]);
  useEffect(() => {
    const channel = new BroadcastChannel(ROOM_CHANNEL);
    const timer = setInterval(() => {
      const reading = simulatedReading(seed, now.current, Date.now());
      if (!reading) return;
      channel.postMessage(reading);
      setLast(reading);
    }, TELLS_EVERY_MS);
    return () => {
      clearInterval(timer);
      channel.close();
    };
  }, [seed]);
  return (
    <Part title="Room sensor">
      <p>
        {last
          ? `It says ${formatTemperature(last.temperatureC, units)} and ${formatPercent(last.relativeHumidity)}.`
          : 'It has not said anything yet.'}{' '}
        Set what the room is really like; at the chair, “How it dries” hears it.
      </p>
      <div className={styles.air}>
        <AirFields
          warmth="The room, really"
          humidity="Its humidity, really"
          air={air}
          onCommit={(change) => setAir((before) => ({ ...before, ...change }))}
        />
      </div>
    </Part>
  );
}
