'use client';
import { useEffect, useState } from 'react';
import { USUAL_ROOM } from '@/core/formats/ranges';
import { roomNow, type RoomAir, type RoomReading } from '@/core/run/room-sensor';
import { AirFields } from '@/ui/fields/air-fields';
import { formatPercent, formatTemperature } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { broadcastRoomSensor } from '../scale/room-sensor';
import type { ChairViewProps } from './chair-set';
import styles from './chair.module.css';

/** Readings kept: the last ten minutes and more. */
const MOST_READINGS = 200;

/** The room as a sensor has it; null while none is heard. */
function useRoom(nowMs: number): RoomAir | null {
  const [readings, setReadings] = useState<readonly RoomReading[]>([]);
  useEffect(
    () =>
      broadcastRoomSensor((reading) =>
        setReadings((before) => [...before.slice(1 - MOST_READINGS), reading]),
      ),
    [],
  );
  const lastMs = readings.at(-1)?.atMs ?? nowMs;
  return roomNow(readings, Math.max(nowMs, lastMs));
}

/** The air it dries in: as planned, as measured by hand, or as a sensor says. */
export function RoomPart({ set, log, nowMs }: Pick<ChairViewProps, 'set' | 'log' | 'nowMs'>) {
  const { units } = useUnits();
  const heard = useRoom(nowMs);
  const { room: planned } = set.brief;
  const used: RoomAir = log.state.room ?? {
    temperatureC: planned?.temperatureC ?? USUAL_ROOM.temperatureC,
    relativeHumidity: planned?.relativeHumidity ?? USUAL_ROOM.relativeHumidity,
  };
  const words = ({ temperatureC, relativeHumidity }: RoomAir) =>
    `${formatTemperature(temperatureC, units)}, ${formatPercent(relativeHumidity)}`;
  const take = (room: RoomAir) => log.record('room', { room });
  return (
    <>
      <h3>The room</h3>
      <p>
        {log.state.room ? 'As measured' : 'As planned'}: {words(used)}.{' '}
        {heard === null && 'No sensor is heard: type what yours says.'}
      </p>
      <div className={styles.room}>
        {heard && (
          <button type="button" onClick={() => take(heard)}>
            <span>The sensor says {words(heard)}</span>
            <small>take that</small>
          </button>
        )}
        <AirFields
          warmth="In the room"
          humidity="Humidity"
          air={used}
          onCommit={(change) => take({ ...used, ...change })}
        />
      </div>
    </>
  );
}
