import { usePreferences } from '../../../app/preferences';
import { levelText, shownReading, tied } from '../../../units';
import { otherWeatherSentence } from '../../../words';
import { bandName, powerOn } from '../document/model';
import { useSheet } from '../sheetContext';

/** What a balanced line brings on a day of the other kind. */
export function OtherWeather() {
  const { plan, band, otherWeather } = useSheet();
  const { reading } = usePreferences();
  if (!otherWeather) return null;
  const level = { lossDb: otherWeather.totalLossDb, watts: otherWeather.powerAtAntennaW };
  const arrives = levelText(level, shownReading(reading, powerOn(plan, band) !== null));
  return <p>{tied(otherWeatherSentence(otherWeather.wet, arrives, bandName(band)))}</p>;
}
