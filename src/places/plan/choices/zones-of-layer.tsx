'use client';
import { SIDES, type Side } from '@/core/hair/half';
import { ZONE_LABEL, ZONES, type Zone } from '@/core/hair/zone';
import { Pill, PillSet } from '@/ui/fields/pill';

/** Where one layer goes: everywhere, or only in the zones that are pressed. */
export function ZonesOfLayer({
  name,
  zones,
  onChange,
}: {
  readonly name: string;
  readonly zones: readonly Zone[] | undefined;
  /** Nothing where it goes everywhere. */
  readonly onChange: (zones: Zone[] | undefined) => void;
}) {
  const toggled = (zone: Zone): Zone[] | undefined => {
    const next = ZONES.filter((other) => (other === zone) !== (zones?.includes(other) ?? false));
    return next.length === 0 || next.length === ZONES.length ? undefined : next;
  };
  return (
    <PillSet legend={name}>
      <Pill label="everywhere" isPressed={zones === undefined} onPress={() => onChange(undefined)} />
      {ZONES.map((zone) => (
        <Pill
          key={zone}
          label={ZONE_LABEL[zone]}
          isPressed={zones?.includes(zone) ?? false}
          onPress={() => onChange(toggled(zone))}
        />
      ))}
    </PillSet>
  );
}

/** Which half of a trial one layer goes on: both, or the one that is pressed. */
export function HalfOfLayer({
  name,
  half,
  onChange,
}: {
  readonly name: string;
  readonly half: Side | undefined;
  /** Nothing where it goes on both. */
  readonly onChange: (half: Side | undefined) => void;
}) {
  return (
    <PillSet legend={name}>
      <Pill label="both" isPressed={half === undefined} onPress={() => onChange(undefined)} />
      {SIDES.map((side) => (
        <Pill key={side} label={side} isPressed={half === side} onPress={() => onChange(side)} />
      ))}
    </PillSet>
  );
}
