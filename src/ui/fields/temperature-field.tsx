'use client';
import { celsiusFromFahrenheit, fahrenheitFromCelsius } from '@/core/units/temperature';
import { useUnits } from '../units-context';
import { NumberField } from './number-field';

/** A temperature in the chosen unit, kept in °C. */
export function TemperatureField({
  label,
  valueC,
  lowC,
  highC,
  onCommit,
}: {
  label: string;
  valueC: number;
  lowC: number;
  highC: number;
  onCommit: (celsius: number) => void;
}) {
  const { units } = useUnits();
  if (units.temperature === 'C') {
    return <NumberField label={label} unit="°C" value={valueC} low={lowC} high={highC} onCommit={onCommit} />;
  }
  return (
    <NumberField
      label={label}
      unit="°F"
      value={Math.round(fahrenheitFromCelsius(valueC))}
      low={Math.round(fahrenheitFromCelsius(lowC))}
      high={Math.round(fahrenheitFromCelsius(highC))}
      onCommit={(fahrenheit) => onCommit(celsiusFromFahrenheit(fahrenheit))}
    />
  );
}
