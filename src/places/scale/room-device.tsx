'use client';
import { useEffect, useRef, useState } from 'react';
import type { RoomAir, RoomReading } from '@/core/room/room-sensor';
import { simulatedReading, TELLS_EVERY_MS } from '@/core/room/simulated-sensor';
import { NumberField } from '@/ui/fields/number-field';
import { TemperatureField } from '@/ui/fields/temperature-field';
import { formatPercent, formatTemperature } from '@/ui/format';
import { Part } from '@/ui/shell/page';
import { useUnits } from '@/ui/units-context';
import { ROOM_CHANNEL } from './room-sensor';
import styles from './scale-device.module.css';

const USUAL: RoomAir = { temperatureC: 22, relativeHumidity: 0.45 };

/** A thermometer and hygrometer that pretend: they tell the chair what they read, never quite right, and miss some. */
export function RoomDevice({ seed }: { readonly seed: number }) {
  const { units } = useUnits();
  const [air, setAir] = useState(USUAL);
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
      <div className={styles.keys}>
        <TemperatureField
          label="The room, really"
          valueC={air.temperatureC}
          lowC={10}
          highC={38}
          onCommit={(temperatureC) => setAir((before) => ({ ...before, temperatureC }))}
        />
        <NumberField
          label="Its humidity, really"
          unit="%"
          value={Math.round(air.relativeHumidity * 100)}
          low={10}
          high={95}
          whole
          onCommit={(percent) => setAir((before) => ({ ...before, relativeHumidity: percent / 100 }))}
        />
      </div>
    </Part>
  );
}
