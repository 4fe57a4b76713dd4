import { ROOM_RANGES } from '@/core/formats/ranges';
import { NumberField } from './number-field';
import { TemperatureField } from './temperature-field';

/** The air of a room as it is typed: how warm, and how humid in percent. */
interface Air {
  readonly temperatureC: number;
  /** 0 to 1. */
  readonly relativeHumidity: number;
}

/** How warm and how humid a room is. */
export function AirFields({
  warmth,
  humidity,
  air,
  onCommit,
}: {
  /** What the two fields are called. */
  readonly warmth: string;
  readonly humidity: string;
  readonly air: Air;
  readonly onCommit: (change: Partial<Air>) => void;
}) {
  const { temperatureC, relativeHumidity } = ROOM_RANGES;
  return (
    <>
      <TemperatureField
        label={warmth}
        valueC={air.temperatureC}
        lowC={temperatureC.low}
        highC={temperatureC.high}
        onCommit={(celsius) => onCommit({ temperatureC: celsius })}
      />
      <NumberField
        label={humidity}
        unit="%"
        value={Math.round(air.relativeHumidity * 100)}
        low={100 * relativeHumidity.low}
        high={100 * relativeHumidity.high}
        step={5}
        onCommit={(percent) => onCommit({ relativeHumidity: percent / 100 })}
      />
    </>
  );
}
