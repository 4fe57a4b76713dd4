'use client';
import { useEffect, useState } from 'react';
import { dateInZone, formatClock, formatMoment } from '../format';
import { localTimeOf } from '@/core/schedule/local-time';
import { useUnits } from '../units-context';
import styles from './zone-notice.module.css';

/** Says that this device tells another time than the studio, whenever it does. */
export function ZoneNotice({ studio }: { studio: string }) {
  const { clock } = useUnits();
  const [device, setDevice] = useState<{ zone: string; nowMs: number } | null>(null);
  useEffect(() => {
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
    const timer = setTimeout(() => setDevice({ zone, nowMs: Date.now() }), 0);
    return () => clearTimeout(timer);
  }, []);
  if (!device) return null;
  const on = (timeZone: string) => ({ ...clock, timeZone });
  if (localTimeOf(device.nowMs, device.zone) === localTimeOf(device.nowMs, clock.timeZone)) return null;
  const isOneDay = dateInZone(device.nowMs, device.zone) === dateInZone(device.nowMs, clock.timeZone);
  const show = isOneDay ? formatClock : formatMoment;
  const [here, there] = [device.zone, clock.timeZone].map((zone) => show(device.nowMs, on(zone)));
  return (
    <p className={styles.notice} role="note">
      All times are those of {studio} ({clock.timeZone.replaceAll('_', ' ')}), where it is {there}. This
      device is set to {device.zone.replaceAll('_', ' ')}, {here}.
    </p>
  );
}
