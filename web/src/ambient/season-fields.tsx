import type { MonthAmbient } from '@dewpot/core/ambient';
import { NumberField } from '../ui/number-field';
import { QuantityField } from '../ui/quantity-field';
import { useSay } from '../ui/say';

/** A room that is not heated, in a mild climate: a table to begin with. */
const MONTH_MEANS = [5, 5, 8, 11, 15, 18, 20, 20, 17, 13, 8, 6];
export const usualSeason: readonly MonthAmbient[] = MONTH_MEANS.map((temperature) => ({ temperature, humidity: 0.7 }));

const monthName = (month: number) =>
  new Date(Date.UTC(2026, month, 15)).toLocaleDateString('en', { month: 'short', timeZone: 'UTC' });

/** Twelve months, each with how warm and how humid the place usually is. */
export function SeasonFields({
  season,
  onChange,
}: {
  season: readonly MonthAmbient[];
  onChange: (season: MonthAmbient[]) => void;
}) {
  const say = useSay();
  const put = (at: number, part: Partial<MonthAmbient>) =>
    onChange(season.map((month, i) => (i === at ? { ...month, ...part } : month)));
  return (
    <table className="w-full text-sm">
      <thead>
        <tr>
          <th scope="col" className="text-left">
            {say('ambient.month')}
          </th>
          <th scope="col" className="text-left">
            {say('ambient.temperature')}
          </th>
          <th scope="col" className="text-left">
            {say('ambient.humidityPercent')}
          </th>
        </tr>
      </thead>
      <tbody>
        {season.map(({ temperature, humidity }, at) => (
          <tr key={monthName(at)}>
            <th scope="row" className="pr-2 text-left font-normal">
              {monthName(at)}
            </th>
            <td className="pr-2">
              <QuantityField
                label={say('ambient.temperatureIn', { at: monthName(at) })}
                hideLabel
                name={`season.${at}.temperature`}
                dimension="temperature"
                value={temperature}
                onChange={(value) => value !== undefined && put(at, { temperature: value })}
              />
            </td>
            <td>
              <NumberField
                label={say('ambient.humidityIn', { at: monthName(at) })}
                className="w-full"
                value={humidity * 100}
                onChange={(percent) => put(at, { humidity: percent / 100 })}
              />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
